// Beeps of several meters in made-up noises of a workshop, at a third of the beep's loudness and at the same.
import assert from "node:assert/strict";
import { test } from "node:test";
import { beepTrials } from "./beep-trials.mjs";
import * as beep from "../../main/resources/static/scripts/beep.js";

const { rows, rules } = beepTrials(beep, [1000, 2300, 4000], [0.3, 1]);

for (const [kind, row] of Object.entries(rows)) {
  test(`the beep is found in ${kind}, and nothing else is`, () => {
    assert.equal(row.falseBeeps, 0, "false beeps");
    assert.equal(row.steadyFromChopped, 0, "chopped taken for steady");
    assert.ok(kind === "hiss 1" || row.missed <= 1, `missed ${row.missed} of ${row.trials}`);
  });
}

test("a meter's tone is learnt, a noise is not", () => {
  assert.deepEqual(rules.learntHz, [1000, 2300, 4000]);
  assert.deepEqual(rules.refused, ["hiss", "drill", "voice", "music"]);
});

test("silence counts only once the probes are on", () => {
  assert.deepEqual(rules.armedSilence, ["silent"]);
  assert.deepEqual(rules.unarmedSilence, []);
  assert.deepEqual(rules.armedThenBeep, ["joined"]);
});

test("only a beep that begins, holds and is as loud as the meter's own is one", () => {
  assert.deepEqual(rules.ongoing, []);
  assert.deepEqual(rules.chopped, ["unsteady"]);
  assert.deepEqual(rules.otherMeter, []);
  assert.deepEqual(rules.distant, []);
});
