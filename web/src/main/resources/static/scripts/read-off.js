// Reading off a good unit: b and n answer the touch that is due, Backspace takes the last answer back.
const base = `/read-off/${document.querySelector("[data-read-off]").dataset.readOff}`;
let busy = false;

const send = async (path, values) => {
  const work = document.getElementById("work");
  if (busy) {
    return;
  }
  busy = true;
  document.getElementById("say").replaceChildren();
  try {
    await window.htmx.ajax("POST", base + path, {
      source: work,
      values: { count: work.dataset.count, ...values },
      target: "#work",
      swap: "outerHTML",
    });
  } catch {
    // what was wrong stands in #say
  } finally {
    busy = false;
  }
};

const answer = (joined) => document.getElementById("work").dataset.due && send("/answers", { joined });
const back = () => Number(document.getElementById("work").dataset.count) > 0 && send("/take-backs", {});

document.addEventListener("keydown", (event) => {
  const key = { b: () => answer(true), n: () => answer(false), Backspace: back }[event.key];
  if (key && !event.ctrlKey && !event.metaKey && !event.altKey) {
    event.preventDefault();
    key();
  }
});
document.addEventListener("click", (event) => {
  const button = event.target.closest("[data-answer], [data-back]");
  if (button?.dataset.answer) {
    answer(button.dataset.answer === "true");
  } else if (button) {
    back();
  }
});
