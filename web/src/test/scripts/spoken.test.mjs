import assert from "node:assert/strict";
import { test } from "node:test";
import { saidIn, understand } from "../../main/resources/static/scripts/spoken.js";


const VOCABULARY = {
  keys: { b: "beep|tone", n: "no beep", OL: "over|over range", Backspace: "undo" },
  digits: "zero|one|two|three|four|five|six|seven|eight|nine",
  point: "point|comma",
  ohm: "ohm|ohms|Ω",
  prefixes: { m: "milli", k: "kilo|kil|k", M: "mega|meg" },
};

const meant = (said) => {
  const found = understand(said, VOCABULARY);
  return found && (found.key ?? found.typed);
};

test("words are keys", () => {
  assert.equal(meant("Beep!"), "b");
  assert.equal(meant("no beep"), "n");
  assert.equal(meant("Over range."), "OL");
});

test("figures are read however they are said", () => {
  const said = {
    "zero point two five": "0.25",
    "point five ohms": "0.5",
    "15.8 kilohms": "15.8k",
    "12k": "12k",
    "2 point 5 mega ohms": "2.5M",
    "3 milli ohm": "3m",
    "0,4": "0.4",
    "0.25Ω": "0.25",
    "12 megohms": "12M",
  };
  for (const [text, typed] of Object.entries(said)) {
    assert.equal(meant(text), typed, text);
  }
});

test("what is not understood whole counts for nothing", () => {
  for (const text of ["two three", "12 15", "1.5.5", "5 apples", "undo that", "ohms", "point", "", "is that 5"]) {
    assert.equal(meant(text), null, text);
  }
});

test("what was heard too unsurely was not said", () => {
  const heard = (transcript, confidence) => saidIn({ results: [[{ transcript, confidence }]] });
  assert.equal(heard("0.3", 0.2), "");
  assert.equal(heard("0.3", 0.9), "0.3");
  assert.equal(heard("0.3", 0), "0.3", "of a recogniser that says nothing of it");
});
