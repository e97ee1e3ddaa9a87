// What is typed belongs to the step that it was begun for, across reloads.
import assert from "node:assert/strict";
import { test } from "node:test";
import { keyOf, nameOf } from "../../main/resources/static/scripts/step.js";
import { Draft } from "../../main/resources/static/scripts/testrun-draft.js";

const kept = new Map();
globalThis.sessionStorage = {
  getItem: (name) => kept.get(name) ?? null,
  setItem: (name, text) => kept.set(name, text),
  removeItem: (name) => kept.delete(name),
};
const stand = (values) => {
  const fields = Object.entries(values).map(([name, value]) => ({ name, value }));
  globalThis.document = { querySelectorAll: () => fields };
};

test("steps are the same by what is touched and how, not by what else is sent", () => {
  const one = { stage: "ENDS", black: "J1.1", red: "J2.1", state: "", ties: "" };
  assert.equal(keyOf(one), keyOf({ ...one, typed: "0.3" }));
  assert.notEqual(keyOf(one), keyOf({ ...one, red: "J2.2" }));
  assert.equal(nameOf(one), "J1.1 – J2.1");
  assert.equal(nameOf({ stage: "ZERO", question: "OHMS" }), "OHMS");
});

test("a draft stays with the step that it was begun for", () => {
  const slot = { value: "0." };
  stand({ black: "J1.1", red: "J2.1" });
  const draft = new Draft("7", slot);
  draft.follow();
  stand({ black: "J1.2", red: "J2.2" });
  slot.value = "0.3";
  draft.follow();
  assert.equal(draft.begun.black, "J1.1");
});

test("a reload brings it back, and what was kept by the server is gone", () => {
  const slot = { value: "" };
  const draft = new Draft("7", slot);
  assert.equal(slot.value, "0.3");
  assert.equal(draft.begun.red, "J2.1");
  draft.done();
  assert.equal(kept.size, 0);
});

test("an empty slot belongs to no step", () => {
  const slot = { value: "4" };
  const draft = new Draft("7", slot);
  draft.follow();
  slot.value = " ";
  draft.follow();
  assert.equal(draft.begun, null);
});
