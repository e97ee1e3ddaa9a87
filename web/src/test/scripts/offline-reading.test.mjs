import assert from "node:assert/strict";
import { test } from "node:test";
import { parseReading, verdictOf } from "../../main/resources/static/scripts/offline-reading.js";


const ohm = (typed) => parseReading(typed, false).ohm;

test("plain figures, prefixes and a prefix in the place of the point", () => {
  const typed = { 0: 0, "0.64": 0.64, "0,64 Ω": 0.64, "15.8k": 15800, "2.7 MΩ": 2.7e6, "0R68": 0.68, "15k8": 15800, R33: 0.33, "4m7": 0.0047, ",5": 0.5, "1.": 1 };
  for (const [text, value] of Object.entries(typed)) {
    assert.ok(Math.abs(ohm(text) - value) <= 1e-12 * value, `${text} is ${ohm(text)}`);
  }
});

test("tones, silence and over-range have no ohms", () => {
  assert.deepEqual(parseReading("b", false), { kind: "tone" });
  assert.deepEqual(parseReading(" N ", false), { kind: "silent" });
  assert.deepEqual(parseReading("ol", false), { kind: "over" });
});

test("what only the test understands waits for it, anything else is refused", () => {
  assert.equal(parseReading("jumps", false).kind, "later");
  assert.equal(parseReading(">900M", false).kind, "later");
  assert.equal(parseReading("1", true).kind, "later", "on a meter that shows 1 for over-range");
  assert.equal(parseReading("hello", false).kind, "none");
});

test("the verdict is that of the band in which the ohms lie", () => {
  const pass = { word: "pass" };
  const fail = { word: "fail" };
  const step = { bands: [{ up_to_ohm: 0.5, said: pass }, { up_to_ohm: 2e6, said: fail }], said: { over: fail } };
  assert.equal(verdictOf(step, parseReading("0.4", false)), pass);
  assert.equal(verdictOf(step, parseReading("0.5", false)), fail);
  assert.equal(verdictOf(step, parseReading("OL", false)), fail);
  assert.equal(verdictOf(step, parseReading("9M", false)), null, "beyond every band the test judges itself");
  assert.equal(verdictOf(step, parseReading("b", false)), null);
});
