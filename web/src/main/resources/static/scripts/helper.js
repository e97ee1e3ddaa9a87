// The far end: says that the pin is held, and the pin aloud where that is wanted.
import { follow } from "./follow.js";
import { speak } from "./speak.js";

const bar = document.getElementById("aloud");
const holds = document.getElementById("holds");
const pins = () => document.querySelector("#far-end [data-pins]")?.dataset.pins ?? "";
let said = "";

document.getElementById("hold")?.addEventListener("click", () => {
  holds.value = pins();
  window.htmx.trigger(document.body, "held");
});
document.body.addEventListener("htmx:afterSwap", () => {
  const now = document.querySelector("#far-end [data-say]")?.dataset.say ?? "";
  if (now !== said && document.getElementById("speak-pins").checked) {
    speak(now);
  }
  said = now;
});
follow(
  bar.dataset.events,
  (what) => {
    if (what !== "people") {
      window.htmx.trigger(document.body, "news");
    }
  },
  { often: 2000, seldom: 8000 },
);
bar.hidden = false;
