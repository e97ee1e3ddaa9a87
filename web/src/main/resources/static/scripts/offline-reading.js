// What is typed without network, in the plain forms of a reading. Everything else is kept as it was typed and understood by the
// test itself when it is sent.
const POWER = { "": 0, p: -12, n: -9, u: -6, m: -3, k: 3, K: 3, M: 6, G: 9, T: 12 };
const FIGURE = /^(\d+(?:[.,]\d*)?|[.,]\d+) ?([pnumkKMGT]?) ?(?:Ω|ohms?)?$/;
const INFIX = /^(\d*)([RpnumkKMGT])(\d+)$/;

/** The kind of an answer: tone, silent, over, value with its ohms, later (only the test understands it), none. */
export const parseReading = (typed, onlyOneIsOverRange) => {
  const text = typed.trim().replaceAll("µ", "u").replaceAll("μ", "u").replace(/\s+/g, " ");
  const lower = text.toLowerCase();
  if (lower === "b" || lower === "beep") {
    return { kind: "tone" };
  }
  if (lower === "n" || lower === "no") {
    return { kind: "silent" };
  }
  if (lower === "ol") {
    return { kind: "over" };
  }
  if (onlyOneIsOverRange && /^1[.,]?$/.test(text)) {
    return { kind: "later" };
  }
  const figure = FIGURE.exec(text);
  if (figure) {
    return { kind: "value", ohm: Number(`${figure[1].replace(",", ".")}e${POWER[figure[2]]}`) };
  }
  const infix = INFIX.exec(text);
  if (infix) {
    return { kind: "value", ohm: Number(`${infix[1] || 0}.${infix[3]}e${infix[2] === "R" ? 0 : POWER[infix[2]]}`) };
  }
  return { kind: /\d|jump|~|inf|open|over/.test(lower) ? "later" : "none" };
};

/** The verdict of an answer at a step: its state stroke and its word; null where the test itself has to judge. */
export const verdictOf = (step, reading) => {
  if (reading.kind === "value") {
    return step.bands.find((each) => reading.ohm < each.up_to_ohm)?.said ?? null;
  }
  return step.said[reading.kind] ?? null;
};
