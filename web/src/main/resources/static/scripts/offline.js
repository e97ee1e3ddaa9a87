// A test without network: its next steps, judged as the test itself judges them, and a queue of what is entered. Readings are
// kept on this device until the server has them, in their order, under identifiers that are made here.
import { openDB } from "./vendor/idb-8.0.3.js";
import { parseReading, verdictOf } from "./offline-reading.js";
import { photographField } from "./photograph.js";
import { alarm, words } from "./say.js";
import { PARTS, keyOf, nameOf } from "./step.js";

const main = document.querySelector("main.run");
const run = main.dataset.run;
const person = main.dataset.person;
const base = `/runs/${run}`;
const bar = document.getElementById("offline");
const slot = document.getElementById("slot");
const csrf = document.querySelector('meta[name="csrf"]');
const ENTRIES = "entries";
const SKIPS = "skips";

const element = (tag, text, more = {}) => Object.assign(document.createElement(tag), { textContent: text, ...more });

const start = async () => {
  const db = await openDB("marten", 1, {
    upgrade(made) {
      made.createObjectStore("ahead", { keyPath: "run" });
      made.createObjectStore("queue", { keyPath: "seq", autoIncrement: true });
    },
  });
  let ahead = await db.get("ahead", run);
  let away = false;
  let last = null;

  const queued = async () => (await db.getAll("queue")).filter((each) => each.run === run);
  const waiting = async () => (await queued()).filter((each) => !each.refused);

  // What is kept of the way ahead is fetched while there is a network: at once, and again some time after an entry.
  let soon = 0;
  const look = async () => {
    const answer = await fetch(`${base}/ahead`, { headers: { "HX-Request": "true" } }).catch(() => null);
    if (answer?.ok && !answer.redirected) {
      ahead = { run, ...(await answer.json()) };
      await db.put("ahead", ahead);
    }
  };
  document.addEventListener("marten:kept", () => {
    clearTimeout(soon);
    soon = setTimeout(look, 2000);
  });

  // What does not fit on the device any more is said, and stays where it was typed.
  const put = (item) =>
    db.add("queue", { run, person, refused: "", ...item }).catch(() => {
      say(words("script.device_full"));
      return null;
    });
  // Made once, so that a note that is being typed stays.
  const photoField = photographField(words, async (photo, note) => {
    const kept = await put({ path: "photos", values: { token: window.marten.newId(), note }, photo });
    await tell();
    return kept;
  });

  // The first step that nobody answered; a step that was entered is done here, and asked again by the test if it must be.
  const due = async () => {
    const done = new Set((await queued()).map((each) => keyOf(each.values)));
    return ahead?.steps.find((each) => !done.has(keyOf(each.form)));
  };

  const show = async () => {
    const step = await due();
    const mid = document.querySelector("#work .mid");
    const fields = document.getElementById("step") ?? mid;
    mid.replaceChildren();
    if (last) {
      const box = element("p", "", { className: `result-away state ${last.state}`, id: "last-away" });
      box.append(element("b", `${last.name}: ${last.typed}`, { className: "mono" }), ` ${last.word}`);
      mid.append(box);
    }
    document.getElementById("band")?.replaceChildren();
    mid.append(
      step ? sentence(step) : element("p", words("script.known_steps_done"), { className: "sentence" }),
      element("p", step ? step.why : words("script.after_that_the_next_show"), { className: "why" }),
    );
    if (step && fields.id === "step") {
      PARTS.forEach((part) => {
        fields.querySelector(`[name=${part}]`).value = step.form[part] ?? "";
      });
      fields.querySelector("[name=touch]").value = step.attempt;
      fields.dataset.words = step.kind === "WORDS" ? "yes" : "";
    }
    aloud(step);
    await tell();
  };

  // What is said and heard of a step stands where it stands with a network.
  const aloud = (step) => {
    const isAnswer = (said) => String(["pass", "fail"].includes(said?.state));
    Object.assign(document.getElementById("work").dataset, {
      heard: last ? `${last.name}: ${last.typed} ${last.word}.` : "",
      say: step?.say ?? "",
      beeps: isAnswer(step?.said.tone),
      silences: isAnswer(step?.said.silent),
    });
    document.dispatchEvent(new CustomEvent("marten:shown"));
  };

  // The two terminals stand out, as they do with a network.
  const sentence = ({ sentence: text, form }) => {
    const line = element("p", "", { className: "sentence" });
    let rest = text;
    for (const name of [form.black, form.red].filter((each) => each && rest.includes(each))) {
      const at = rest.indexOf(name);
      line.append(rest.slice(0, at), element("b", name, { className: "mono" }));
      rest = rest.slice(at + name.length);
    }
    line.append(rest);
    return line;
  };

  const tell = async () => {
    const all = await queued();
    const count = all.filter((each) => !each.refused).length;
    const foreign = all.find((each) => each.person !== person);
    bar.replaceChildren();
    if (away || count > 0) {
      bar.append(
        element(
          "p",
          away ? words("script.no_network", count) : words("script.waiting_to_be_sent", count),
          { className: "say undecided" },
        ),
      );
    }
    if (away) {
      bar.append(photoField);
    }
    if (foreign) {
      bar.append(element("p", words("script.of_another_person", foreign.person), { className: "say caution" }));
    }
    all.filter((each) => each.refused).forEach((each) => bar.append(refusal(each)));
  };

  // What the server did not take is shown with its reason, and nothing is dropped without being told to.
  const refusal = (item) => {
    const box = element("div", "", { className: "say caution" });
    const again = element("button", words("script.another_reading"), { type: "button", className: "button" });
    const drop = element("button", words("script.drop_it"), { type: "button", className: "button" });
    again.addEventListener("click", () => sendAgain(item));
    drop.addEventListener("click", async () => {
      await db.delete("queue", item.seq);
      await tell();
    });
    const buttons = element("div", "", { className: "row-fields" });
    buttons.append(...((item.path ?? ENTRIES) === ENTRIES ? [again] : []), drop);
    const text = item.values.typed ?? item.values.reason ?? item.values.note;
    const name = item.photo ? words("script.photograph") : nameOf(item.values);
    box.append(element("p", words("script.was_not_saved", name, text, item.refused)), buttons);
    return box;
  };

  const sendAgain = async (item) => {
    const parts = Object.fromEntries(PARTS.map((part) => [part, item.values[part] ?? ""]));
    const answer = await fetch(`${base}/work?${new URLSearchParams(parts)}`, { headers: { "HX-Request": "true" } }).catch(() => null);
    if (!answer?.ok || answer.redirected) {
      return;
    }
    const page = new DOMParser().parseFromString(await answer.text(), "text/html");
    const touch = page.querySelector("#step [name=touch]")?.value ?? item.values.touch;
    await db.put("queue", { ...item, refused: "", values: { ...item.values, touch, entry: window.marten.newId() } });
    await flush();
  };

  const keep = async (values, path = ENTRIES) => {
    const answer = path === ENTRIES ? judged(values) : skipped(values);
    if (!answer || !(await put({ path, values }))) {
      return;
    }
    last = answer;
    slot.value = "";
    document.dispatchEvent(new CustomEvent("marten:kept"));
    await show();
  };

  const skipped = (values) => ({ name: nameOf(values), typed: values.reason, state: "doubtful", word: words("script.skipped") });

  // The verdict of the test for this answer; null, with a message, for what cannot be entered without network.
  const judged = (values) => {
    const step = ahead?.steps.find((each) => keyOf(each.form) === keyOf(values));
    const name = nameOf(values);
    if (!step || step.kind === "OTHER") {
      say(words("script.needs_network"));
      return null;
    }
    if (step.kind === "WORDS") {
      return { name, typed: values.typed || words("script.done"), state: "pass", word: "" };
    }
    const reading = parseReading(values.typed, ahead.only_one_is_over_range);
    if (reading.kind === "none") {
      say(words("script.reading_not_accepted", values.typed));
      return null;
    }
    const verdict = verdictOf(step, reading);
    return verdict ? { name, typed: values.typed, ...verdict } : { name, typed: values.typed, state: "doubtful", word: words("script.judged_later") };
  };

  const say = (text) => document.getElementById("say").replaceChildren(alarm(text));

  const setAway = async (now) => {
    away = now;
    if (now) {
      main.dataset.away = "yes";
      await show();
    } else {
      delete main.dataset.away;
      last = null;
    }
  };

  const post = (item) => {
    const form = item.photo ? new FormData() : new URLSearchParams(item.values);
    if (item.photo) {
      Object.entries(item.values).forEach(([name, value]) => form.append(name, value));
      form.append("photo", item.photo);
    }
    return fetch(`/runs/${item.run}/${item.path ?? ENTRIES}`, {
      method: "POST",
      body: form,
      redirect: item.photo ? "manual" : "follow", // a photograph that is saved leads to the page of photographs
      headers: { "HX-Request": "true", [csrf.dataset.header]: csrf.content },
    });
  };

  // In their order, one tab at a time. A lost answer is sent again under the same identifier, which saves nothing twice.
  const alone = (work) => (navigator.locks ? navigator.locks.request("marten-queue", work) : work()); // plain http has no locks
  const flush = () =>
    alone(async () => {
      for (const item of await waiting()) {
        if (item.person !== person) {
          return tell();
        }
        const answer = await post(item).catch(() => null);
        if (!answer || answer.status >= 500) {
          return tell();
        }
        if (answer.status === 401 || answer.status === 403 || answer.redirected) {
          bar.replaceChildren(element("p", words("script.signed_out", (await waiting()).length), { className: "say problem" }));
          return null;
        }
        if (answer.ok || answer.type === "opaqueredirect") {
          await db.delete("queue", item.seq);
        } else {
          const page = new DOMParser().parseFromString(await answer.text(), "text/html");
          await db.put("queue", { ...item, refused: page.querySelector("p, .say")?.textContent.trim() || words("script.refused", answer.status) });
        }
        await tell();
      }
      return tell();
    });

  const isThere = async () => {
    const answer = await fetch(`${base}/pulse?pulse=none`, { headers: { "HX-Request": "true" } }).catch(() => null);
    return Boolean(answer) && answer.status < 500;
  };

  // While there is no network it is looked for; once it is back everything is sent and the page is the server's again.
  setInterval(async () => {
    const left = (await waiting()).length;
    if ((away || left > 0) && !document.hidden && (await isThere())) {
      await flush();
      if (away) {
        await setAway(false);
        await window.htmx.ajax("GET", `${base}/work`, { source: main, target: "#work", swap: "outerHTML" });
        await tell();
        await look();
      }
    }
  }, 2000);

  document.addEventListener("marten:entry", (event) => {
    if (away) {
      event.preventDefault();
      keep(event.detail);
    }
  });
  document.addEventListener("marten:skip", (event) => {
    if (away) {
      event.preventDefault();
      keep(event.detail, SKIPS);
    }
  });
  document.addEventListener("marten:take-back", (event) => {
    if (away) {
      event.preventDefault();
      waiting().then(async (all) => {
        const item = all.filter((each) => !each.photo).at(-1);
        if (item) {
          await db.delete("queue", item.seq);
          last = null;
          await show();
        }
      });
    }
  });
  document.addEventListener("htmx:sendError", async (event) => {
    const { requestConfig } = event.detail;
    if (away || !requestConfig.path.startsWith(base) || requestConfig.path.includes("understood")) {
      return;
    }
    const entered = [ENTRIES, SKIPS].find((path) => requestConfig.verb === "post" && requestConfig.path === `${base}/${path}`);
    await setAway(true);
    document.getElementById("say").replaceChildren();
    if (entered) {
      await keep(Object.fromEntries(requestConfig.formData.entries()), entered);
    }
  });
  window.addEventListener("offline", () => away || setAway(true));

  if (!navigator.onLine || !(await isThere())) {
    await setAway(true);
  } else {
    await look();
    await tell();
  }
};

if (slot) {
  start().catch(() => {
    bar.replaceChildren(element("p", words("script.keeps_nothing"), { className: "say caution" }));
  });
}
