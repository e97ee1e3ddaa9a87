// The run: everything by keyboard. The slot always has the focus; what was typed leaves it only when the server has kept it.
(() => {
  "use strict";
  const main = document.querySelector("main.run");
  const slot = document.getElementById("slot");
  const base = `/runs/${main.dataset.run}`;
  const say = document.getElementById("say");
  const understood = document.getElementById("understood");
  const words = (code, ...values) => window.marten.say(code, ...values);
  let entryId = null;
  let attempt = "";
  let asked = null;
  let deciding = null;
  let sent = "";
  let busy = false;
  let impatient = null;

  const step = () =>
    Object.fromEntries([...document.querySelectorAll("#step input")].map((field) => [field.name, field.value]));
  const result = () => document.querySelector(".result");
  const pulse = () => document.getElementById("pulse");
  const inSlot = () => JSON.stringify([slot.value, step(), pulse()?.dataset.pulse]);
  const typing = () => slot && slot.value.trim() !== "";

  // What is typed belongs to the step that it was begun for. It is kept with it on this device until the server has it: a
  // reload, a lost session or somebody else's entry never files it elsewhere.
  const draft = `marten-draft-${main.dataset.run}`;
  let begun = null;
  const parts = ["stage", "question", "subject", "black", "red", "state", "ties"];
  const isSame = (one, other) => parts.every((part) => (one[part] ?? "") === (other[part] ?? ""));
  const nameOf = ({ black, red, subject, question, stage }) => (black ? `${black} – ${red}` : subject || question || stage);
  const begin = (values) => {
    begun = values;
    if (values) {
      sessionStorage.setItem(draft, JSON.stringify({ typed: slot.value, begun: values }));
    } else {
      sessionStorage.removeItem(draft);
    }
  };

  const send = async (method, path, values, target = "#work") => {
    busy = true;
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
      busy = false;
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
    const box = document.createElement("div");
    box.className = "say watch question";
    box.setAttribute("role", "alertdialog");
    box.setAttribute("aria-label", text);
    const sentence = document.createElement("p");
    sentence.textContent = text;
    const buttons = document.createElement("div");
    buttons.className = "row-fields";
    [...choices.map(([label]) => label), words("script.type_it_again")].forEach((label, at) => {
      const button = document.createElement("button");
      button.type = "button";
      button.className = "button";
      button.dataset.meaning = at < choices.length ? String(at) : "again";
      const key = document.createElement("kbd");
      key.textContent = at < choices.length ? String(at + 1) : "Esc";
      button.append(key, ` ${label}`);
      buttons.append(button);
    });
    box.append(sentence, buttons);
    say.replaceChildren(box);
    asked = box;
    slot.blur();
    buttons.querySelector("button").focus();
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
    if (typing() && begun && !isSame(begun, here)) {
      const own = begun;
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
    if (!document.querySelector("#step input")) {
      return;
    }
    if (busy) {
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

  const showDue = () => {
    clear();
    entryId = null;
    send("GET", "/work", {});
  };

  const again = () => {
    clear();
    entryId = null;
    send("GET", "/work", step());
  };

  const takeBack = () => {
    if (isTaken("marten:take-back", {})) {
      return;
    }
    const last = pulse()?.dataset.last;
    if (last && !busy) {
      clear();
      entryId = null;
      send("POST", "/take-backs", { entry: last });
    }
  };

  const goTo = ({ stage, black, red, state, ties }) => {
    clear();
    entryId = null;
    send("GET", "/work", { stage, black, red, state, ties });
  };

  const ask = (id, field, done) => {
    const dialog = document.getElementById(id);
    const input = field ? document.getElementById(field) : null;
    dialog.returnValue = "";
    dialog.onclose = () => {
      if (dialog.returnValue === "ok" && input?.value.trim()) {
        done(input.value.trim());
        input.value = "";
      }
      slot.focus();
    };
    dialog.showModal();
    input?.focus();
  };

  const skip = () =>
    ask("skip-dialog", "reason", (reason) => {
      entryId = window.marten.newId();
      const values = { ...step(), reason, entry: entryId };
      if (!isTaken("marten:skip", values)) {
        send("POST", "/skips", values);
      }
    });

  const wanted = () =>
    ask("goto-dialog", "goto", (text) => {
      const names = text.split(/[\s,–]+/).map((name) => (name.toLowerCase() === "frame" ? "FRAME" : name));
      const [black, red] = names;
      if (black && red) {
        clear();
        entryId = null;
        send("GET", "/touch", { black, red });
      }
    });

  // The meter's reading, as text; a message where it cannot be had. Whoever types meanwhile keeps what they typed.
  const fromMeter = async () => {
    const asked = step();
    const answer = await fetch(`${base}/shown?${new URLSearchParams(asked)}`, { headers: { "HX-Request": "true" } }).catch(() => null);
    if (answer?.ok && !answer.redirected) {
      return answer.text();
    }
    const message = document.createElement("p");
    message.className = "say fault";
    message.setAttribute("role", "alert");
    message.textContent =
      new DOMParser().parseFromString((await answer?.text()) ?? "", "text/html").body.textContent.trim() ||
      words("script.nothing_answers");
    say.replaceChildren(message);
    return null;
  };

  const take = async () => {
    if (busy || typing() || !document.querySelector("#step input")) {
      return;
    }
    busy = true;
    const shown = await fromMeter();
    busy = false;
    if (shown && !typing()) {
      slot.value = shown;
      keep(shown);
    }
  };

  let following = 0;
  let followed = "";
  const follow = () => {
    clearInterval(following);
    following = following ? 0 : setInterval(showMeter, 800);
    document.getElementById("live")?.setAttribute("aria-pressed", String(following !== 0));
    followed = "";
  };
  const showMeter = async () => {
    if (busy || result() || document.hidden || (typing() && slot.value !== followed)) {
      return;
    }
    const shown = await fromMeter();
    if (shown === null) {
      follow();
    } else if (!busy && (!typing() || slot.value === followed)) {
      followed = shown;
      slot.value = shown;
      slot.dispatchEvent(new Event("input"));
    }
  };

  const flip = () => {
    const mating = document.cookie.includes("faces=mating");
    window.martenRemember("faces", mating ? "wire" : "mating");
    again();
  };

  const here = () => document.getElementById("step")?.dataset ?? {};

  // Places are tried one after the other; what happens, happens at the one that is marked.
  const places = () => [...document.querySelectorAll(".places li")];
  const where = () => document.querySelector(".places li.now")?.textContent ?? "";
  const nextPlace = () => {
    const all = places();
    const at = all.findIndex((each) => each.classList.contains("now"));
    if (at < 0 || at + 1 >= all.length) {
      return false;
    }
    all[at].className = "held";
    all[at + 1].className = "now";
    return true;
  };

  const enter = () => {
    if (result() || !document.querySelector("#step input")) {
      showDue();
    } else if (here().words) {
      keep("");
    } else if (!nextPlace()) {
      slot.focus();
    }
  };

  const keys = {
    Enter: enter,
    m: take,
    l: follow,
    b: () => keep("b"),
    n: () => keep("n"),
    j: () => keep("jumps"),
    a: () => document.getElementById("set-dialog").showModal(),
    o: () => document.getElementById("ledger-dialog").showModal(),
    OL: () => keep("OL"),
    Backspace: takeBack,
    c: again,
    f: flip,
    g: wanted,
    x: skip,
    w: () => window.location.assign(`${base}/diagnosis`),
    "?": () => ask("keys-dialog", null, () => {}),
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
    const free = !typing() || (event.key === "l" && slot.value === followed);
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
    begin(typing() ? (begun ?? step()) : null);
    clearTimeout(later);
    later = setTimeout(() => {
      if (document.querySelector("#step input") && !main.dataset.away) {
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
      mark(field, event);
    }
  });

  const mark = (field, event) => {
    const box = field.getBoundingClientRect();
    const scale = field.viewBox.baseVal.width / box.width;
    const cell = Number(field.dataset.cell);
    const column = Math.floor(((event.clientX - box.left) * scale - 1) / cell);
    const row = Math.floor(((event.clientY - box.top) * scale - 1) / cell);
    clear();
    send("GET", "/mark", { stage: field.dataset.stage, row, column, columns: field.dataset.columns });
  };

  document.addEventListener("marten:kept", () => {
    // What was typed while the answer was on its way belongs to the next touch and stays.
    slot.value = slot.value === sent ? "" : slot.value.slice(slot.value.startsWith(sent) ? sent.length : 0);
    entryId = null;
    begin(null);
    clear();
    slot.focus();
  });

  document.addEventListener("htmx:afterSwap", () => {
    if (result()?.classList.contains("fault")) {
      navigator.vibrate?.(200);
    }
    const question = say?.querySelector(".question");
    if (question && question !== asked) {
      asked = question;
      slot.blur();
      question.querySelector("button")?.focus();
    }
  });

  // Somebody else may work on the same run: ask shortly whether anything has changed, fetch only then. Silent on purpose:
  // what does not answer now is asked again, and a message here would stand where the slot's own messages stand.
  let missed = false;
  const listen = async () => {
    const known = pulse()?.dataset.pulse;
    missed = Boolean(known) && (busy || Boolean(result())); // what is being read is not taken away
    if (!known || missed || document.hidden || main.dataset.away) {
      return;
    }
    const answer = await fetch(`${base}/pulse?pulse=${encodeURIComponent(known)}`).catch(() => null);
    if (answer?.status === 200 && !answer.redirected && !busy && !result() && pulse()?.dataset.pulse === known) {
      send("GET", "/work", {});
    }
  };
  document.addEventListener("htmx:afterSettle", () => missed && listen());

  // Who else is on this test: the page says at which step it stands, and is told where the others are.
  const present = () => {
    const box = document.querySelector(".with");
    if (box && !document.hidden && !main.dataset.away) {
      const { black = "", red = "" } = step();
      window.htmx
        .ajax("GET", `${base}/with`, { source: box, values: { black, red }, target: box, swap: "innerHTML" })
        .catch(() => {});
    }
  };
  const heard = (what) => {
    if (what !== "people") {
      listen();
    }
    present();
  };
  window.addEventListener("load", async () => {
    present();
    const { follow } = await import(main.dataset.follow);
    follow(`${base}/events`, heard, { often: 3000, seldom: 8000 });
  });

  // Our own pad is there for readings; words need the phone's keyboard.
  const prepareSlot = () => {
    if (slot && here().hint) {
      slot.placeholder = here().hint;
      const pad = window.matchMedia("(pointer: coarse)").matches && !here().words;
      slot.setAttribute("inputmode", pad ? "none" : "text");
    }
  };
  document.addEventListener("htmx:afterSwap", prepareSlot);
  prepareSlot();

  const left = slot && JSON.parse(sessionStorage.getItem(draft) ?? "null");
  if (left) {
    slot.value = left.typed;
    begin(left.begun);
  }

  const stayAwake = () => navigator.wakeLock?.request("screen").catch(() => {});
  document.addEventListener("visibilitychange", () => document.visibilityState === "visible" && stayAwake());
  stayAwake();
})();
