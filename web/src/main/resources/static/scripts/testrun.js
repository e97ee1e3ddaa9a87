// The run: everything by keyboard. The slot always has the focus; what was typed leaves it only when the server has kept it.
import { ask, questionBox } from "./question.js";
import { words } from "./say.js";
import { isDue, keyOf, nameOf, pulse, result, step } from "./step.js";
import { Draft } from "./testrun-draft.js";
import { Meter } from "./testrun-meter.js";
import { hearOthers } from "./testrun-others.js";
import { cellAt, prepareSlot, stayAwake } from "./testrun-phone.js";
import { nextPlace, where } from "./testrun-places.js";

const main = document.querySelector("main.run");
const slot = document.getElementById("slot");
const say = document.getElementById("say");
const understood = document.getElementById("understood");
const typing = () => slot && slot.value.trim() !== "";
// busy: while an answer is on its way
const run = { base: `/runs/${main.dataset.run}`, slot, say, typing, busy: false, keep: (typed) => keep(typed) };
const { base } = run;
const meter = new Meter(run);
const draft = new Draft(main.dataset.run, slot);
let entryId = null;
let attempt = "";
let asked = null;
let deciding = null;
let sent = "";
let impatient = null;

const inSlot = () => JSON.stringify([slot.value, step(), pulse()?.pulse]);

const send = async (method, path, values, target = "#work") => {
  run.busy = true;
  try {
    await window.htmx.ajax(method, base + path, {
      source: main,
      values,
      target,
      swap: target === "#work" ? "outerHTML" : "innerHTML",
    });
  } catch {
    // htmx has raised its own event; the message is shown there and the slot keeps its text
  } finally {
    run.busy = false;
  }
  // Entered while an answer was on its way, or had come but was not settled: now, if nothing has changed since then.
  const pressed = impatient;
  impatient = null;
  if (pressed?.at === inSlot() && !say.querySelector(".question")) {
    keep(pressed.typed);
  }
};

const clear = () => {
  say.replaceChildren();
  understood.replaceChildren();
};

// A question of our own, with a key for each answer.
const decide = (text, choices) => {
  deciding = choices.map(([, done]) => done);
  asked = questionBox(
    text,
    choices.map(([label]) => label),
  );
  say.replaceChildren(asked);
  slot.blur();
  asked.querySelector("button").focus();
};

// Nothing is filed where it was not begun, and nothing is filed as a second reading, without being asked.
const mustDecide = (typed) => {
  const here = step();
  const name = nameOf(here);
  const figure = typed || words("script.it");
  if (result()) {
    decide(words("script.same_points_or_next", figure), [
      [words("script.same_points", name), () => keep(typed, { sure: true })],
      [
        words("script.next_measurement"),
        async () => {
          await send("GET", "/work", {});
          keep(typed, { sure: true });
        },
      ],
    ]);
    return true;
  }
  const own = draft.begun;
  if (typing() && own && keyOf(own) !== keyOf(here)) {
    decide(words("script.began_for", figure, nameOf(own), name), [
      [
        words("script.belongs_to", nameOf(own)),
        async () => {
          await send("GET", "/work", own);
          keep(typed, { sure: true });
        },
      ],
      [words("script.belongs_to", name), () => keep(typed, { sure: true })],
    ]);
    return true;
  }
  return false;
};

const keep = (typed, { sure, ...more } = {}) => {
  if (!isDue()) {
    return;
  }
  if (run.busy) {
    impatient = { typed, at: inSlot() };
    return;
  }
  if (!sure && more.meaning === undefined && mustDecide(typed)) {
    return;
  }
  // The same entry again has the same name, so that it is saved once; another one never takes its place.
  const now = JSON.stringify([typed, step(), more]);
  if (now !== attempt || !entryId) {
    attempt = now;
    entryId = window.marten.newId();
  }
  sent = slot.value;
  const values = { ...step(), typed, entry: entryId, where: where(), ...more };
  if (isTaken("marten:entry", values)) {
    return;
  }
  send("POST", "/entries", values);
};

// Without network the page keeps what is entered on this device (offline.js) and shows the next step itself.
const isTaken = (name, detail) => !document.dispatchEvent(new CustomEvent(name, { cancelable: true, detail }));

// Shows another step, or the same anew.
const look = (path, values) => {
  clear();
  entryId = null;
  send("GET", path, values);
};
const showDue = () => look("/work", {});
const again = () => look("/work", step());

const takeBack = () => {
  if (isTaken("marten:take-back", {})) {
    return;
  }
  const last = pulse()?.last;
  if (last && !run.busy) {
    clear();
    entryId = null;
    send("POST", "/take-backs", { entry: last });
  }
};

const goTo = ({ stage, black, red, state, ties }) => look("/work", { stage, black, red, state, ties });

const skip = () => ask("skip-dialog", "reason", keepSkip, slot);
const keepSkip = (reason) => {
  entryId = window.marten.newId();
  const values = { ...step(), reason, entry: entryId };
  if (!isTaken("marten:skip", values)) {
    send("POST", "/skips", values);
  }
};

const wanted = () => ask("goto-dialog", "goto", touch, slot);
const touch = (text) => {
  const [black, red] = text.split(/[\s,–]+/).map((name) => (name.toLowerCase() === "frame" ? "FRAME" : name));
  if (black && red) {
    look("/touch", { black, red });
  }
};

const flip = () => {
  const mating = document.cookie.includes("faces=mating");
  window.martenRemember("faces", mating ? "wire" : "mating");
  again();
};

const here = () => document.getElementById("step")?.dataset ?? {};

const enter = () => {
  if (result() || !isDue()) {
    showDue();
  } else if (here().words) {
    keep("");
  } else if (!nextPlace()) {
    slot.focus();
  }
};

const keys = {
  Enter: enter,
  m: () => meter.take(),
  l: () => meter.follow(),
  b: () => keep("b"),
  n: () => keep("n"),
  j: () => keep("jumps"),
  a: () => document.getElementById("set-dialog").showModal(),
  o: () => document.getElementById("restore-dialog").showModal(),
  OL: () => keep("OL"),
  Backspace: takeBack,
  c: again,
  f: flip,
  g: wanted,
  x: skip,
  w: () => window.location.assign(`${base}/diagnosis`),
  "?": () => ask("keys-dialog", null, () => {}, slot),
};

const answer = (meaning) => {
  const decided = deciding;
  asked = null;
  deciding = null;
  say.replaceChildren();
  slot.focus();
  if (decided && meaning !== "again") {
    decided[Number(meaning)]();
  } else if (meaning !== "again") {
    keep(slot.value, { meaning });
  }
};

document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || document.querySelector("dialog[open]") || !slot) {
    return;
  }
  const question = say.querySelector(".question");
  if (question) {
    const choice = question.querySelector(`[data-meaning="${Number(event.key) - 1}"]`);
    if (choice) {
      event.preventDefault();
      answer(choice.dataset.meaning);
    } else if (["Escape", "Backspace"].includes(event.key)) {
      event.preventDefault();
      answer("again");
    }
    return;
  }
  const choice = document.querySelector(`.choices [data-choice]:nth-child(${Number(event.key) || 0})`);
  if (!typing() && choice) {
    event.preventDefault();
    keep(choice.dataset.choice);
    return;
  }
  const elsewhere = event.target !== slot && event.target.closest?.("button, a, summary, input, select");
  // What the meter shows stands in the slot while it is followed, and nobody has typed it.
  const free = !typing() || (event.key === "l" && meter.isFollowed);
  if (free && keys[event.key] && !(elsewhere && ["Enter"].includes(event.key))) {
    event.preventDefault();
    keys[event.key]();
  } else if (!elsewhere && event.target !== slot && event.key.length === 1) {
    slot.focus();
  }
});

document.getElementById("slot-form")?.addEventListener("submit", (event) => {
  event.preventDefault();
  if (typing()) {
    keep(slot.value);
  } else {
    keys.Enter();
  }
});

let later = 0;
slot?.addEventListener("input", () => {
  entryId = null;
  deciding = null;
  say.replaceChildren();
  draft.follow();
  clearTimeout(later);
  later = setTimeout(() => {
    if (isDue() && !main.dataset.away) {
      // A later figure takes the place of this one while it is on its way; that is no fault.
      window.htmx
        .ajax("GET", `${base}/understood`, {
          source: understood,
          values: { ...step(), typed: slot.value },
          target: "#understood",
          swap: "innerHTML",
        })
        .catch(() => {});
    }
  }, 90);
});

document.addEventListener("click", (event) => {
  const button = event.target.closest("[data-key], [data-type], [data-meaning], [data-go], [data-choice], [data-close], [data-open]");
  const field = event.target.closest("svg.field");
  if (button?.dataset.close) {
    document.getElementById(button.dataset.close).close();
  } else if (button?.dataset.open) {
    document.getElementById(button.dataset.open).showModal();
  } else if (button?.dataset.choice) {
    keep(button.dataset.choice);
  } else if (button?.dataset.meaning) {
    answer(button.dataset.meaning);
  } else if (button?.dataset.type) {
    slot.value += button.dataset.type;
    slot.dispatchEvent(new Event("input"));
  } else if (button?.dataset.go) {
    goTo(button.dataset);
  } else if (button?.dataset.key === "Backspace" && typing()) {
    slot.value = slot.value.slice(0, -1);
    slot.dispatchEvent(new Event("input"));
  } else if (button?.dataset.key === "Enter" && typing() && !button.closest(".result")) {
    keep(slot.value);
  } else if (button?.dataset.key) {
    keys[button.dataset.key]();
  } else if (field) {
    look("/mark", cellAt(field, event));
  }
});

document.addEventListener("marten:kept", () => {
  // What was typed while the answer was on its way belongs to the next touch and stays.
  slot.value = slot.value === sent ? "" : slot.value.slice(slot.value.startsWith(sent) ? sent.length : 0);
  entryId = null;
  draft.done();
  clear();
  slot.focus();
});

document.addEventListener("htmx:afterSwap", () => {
  if (result()?.classList.contains("fail")) {
    navigator.vibrate?.(200);
  }
  const question = say?.querySelector(".question");
  if (question && question !== asked) {
    asked = question;
    slot.blur();
    question.querySelector("button")?.focus();
  }
});

hearOthers(run, main, () => send("GET", "/work", {}));

const prepare = () => prepareSlot(slot, here());
document.addEventListener("htmx:afterSwap", prepare);
prepare();
stayAwake();
