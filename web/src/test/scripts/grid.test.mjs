// What a grid of cells does by itself: figures that count on, and steps that are undone and done again.
import assert from "node:assert/strict";
import { test } from "node:test";
import { accepted, next } from "../../main/resources/static/scripts/grid-cells.js";
import { Changes } from "../../main/resources/static/scripts/grid-changes.js";

const sheet = (start) => {
  const cells = new Map(Object.entries(start));
  const changes = new Changes();
  changes.begin(cells);
  return {
    cells,
    type: (more) => {
      Object.entries(more).forEach(([name, text]) => cells.set(name, text));
      return changes.keep(Object.keys(more), (name) => cells.get(name));
    },
    undo: () => changes.undo((name, text) => cells.set(name, text)),
    redo: () => changes.redo((name, text) => cells.set(name, text)),
  };
};

test("a pattern counts on at its last figure", () => {
  assert.equal(next("J1.5"), "J1.6");
  assert.equal(next("W09a"), "W10a");
  assert.equal(next("FRAME"), "FRAME");
});

test("a choice takes its own words only, an empty text its usual one", () => {
  const choice = { tagName: "SELECT", dataset: { usual: "copper" }, options: [{ value: "copper", text: "copper" }, { value: "tinned_copper", text: "tinned copper" }] };
  assert.equal(accepted(choice, " Tinned Copper "), "tinned_copper");
  assert.equal(accepted(choice, ""), "copper");
  assert.equal(accepted(choice, "gold"), null);
  assert.equal(accepted({ type: "checkbox" }, "x"), "true");
  assert.equal(accepted({ type: "checkbox" }, "no"), "");
});

test("a step is undone as a whole and done again", () => {
  const { cells, type, undo, redo } = sheet({ "wires.0.from": "J1.1", "wires.0.to": "" });
  assert.equal(type({ "wires.0.from": "J1.2", "wires.0.to": "J2.2" }), true);
  assert.equal(undo(), "wires.0.from");
  assert.deepEqual([...cells.values()], ["J1.1", ""]);
  assert.equal(redo(), "wires.0.from");
  assert.deepEqual([...cells.values()], ["J1.2", "J2.2"]);
  assert.equal(redo(), undefined);
});

test("what changes nothing is no step, and a new step ends what could be done again", () => {
  const { cells, type, undo, redo } = sheet({ a: "1" });
  assert.equal(type({ a: "1" }), false);
  assert.equal(undo(), undefined);
  type({ a: "2" });
  undo();
  type({ a: "3" });
  assert.equal(redo(), undefined);
  undo();
  assert.equal(cells.get("a"), "1");
});
