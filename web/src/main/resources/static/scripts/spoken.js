// What is said, as what would be typed. Plain functions: no microphone, no page. Only what is understood whole counts: a word
// that belongs to nothing makes the whole sentence not understood.

const SURE = 0.6;

const list = (words) => words.split("|").map((each) => each.trim().toLowerCase());

/** The figure at the beginning of a row of words, and how many of them it takes: one numeral, a point, digits one by one. */
const figureOf = (row, numerals, dots) => {
  const digit = (word) => (numerals.includes(word) ? String(numerals.indexOf(word)) : /^\d+$/.test(word ?? "") ? word : null);
  let at = 0;
  let figure = /^\d*[.,]\d+$/.test(row[0]) ? row[0].replace(",", ".") : (digit(row[0]) ?? "");
  at += figure ? 1 : 0;
  if (dots.includes(row[at]) && !figure.includes(".")) {
    figure += ".";
    at += 1;
    while (digit(row[at])) {
      figure += digit(row[at]);
      at += 1;
    }
  }
  return /^\d*\.?\d+$/.test(figure) ? { figure: figure.replace(/^\./, "0."), taken: at } : null;
};

/** The letter of a prefix for the words of a unit, such as "kilo ohms" or "megohm"; "" for none, null for anything else. */
const prefixOf = (unit, ohms, prefixes) =>
  ["", ...ohms].includes(unit)
    ? ""
    : (Object.keys(prefixes).find((letter) =>
        list(prefixes[letter]).some((prefix) => ["", ...ohms].some((ohm) => unit === prefix + ohm)),
      ) ?? null);

/**
 * A key ({ key: "b" }), a reading ({ typed: "15.8k" }), or null. The vocabulary names for each key and each part of a figure
 * the words that mean it, with | between them; its digits are the ten from nought to nine in their order.
 */
export const understand = (said, { keys, digits, point, ohm, prefixes }) => {
  const text = said.trim().toLowerCase().replace(/[!?;:]|[.,](?=\s|$)/g, "").replace(/\s+/g, " ");
  const key = Object.keys(keys).find((each) => list(keys[each]).includes(text));
  if (key) {
    return { key };
  }
  const row = text.replace(/(\d)(?=[^\d.,\s])/g, "$1 ").split(" ");
  const read = figureOf(row, list(digits), list(point));
  const prefix = read && prefixOf(row.slice(read.taken).join(""), list(ohm), prefixes);
  return prefix === null ? null : { typed: read.figure + prefix };
};

/** Speech recognition of this browser for a language, if it works on this device; null where sound would have to leave it. */
export const recogniser = async (language) => {
  const Recognition = window.SpeechRecognition ?? window.webkitSpeechRecognition;
  const there = await Recognition?.available?.({ langs: [language], processLocally: true }).catch(() => "unavailable");
  if (there !== "available") {
    return null;
  }
  return Object.assign(new Recognition(), { lang: language, processLocally: true, continuous: true, interimResults: false });
};

/** What a result of it says, unless it is too unsure. */
export const saidIn = (event) => {
  const [best] = event.results[event.results.length - 1];
  return best.confidence > 0 && best.confidence < SURE ? "" : best.transcript;
};
