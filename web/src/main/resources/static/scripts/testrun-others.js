// Somebody else may work on the same run: ask shortly whether anything has changed, fetch only then. Silent on purpose: what
// does not answer now is asked again, and a message here would stand where the slot's own messages stand.
import { follow } from "./follow.js";
import { pulse, result, step } from "./step.js";

const quiet = () => {};

/** Hears of a run what the others do; refresh is called where its page is no longer what the server has. */
export const hearOthers = (run, main, refresh) => {
  const away = () => document.hidden || main.dataset.away;
  let missed = false;
  const listen = async () => {
    const known = pulse()?.pulse;
    missed = Boolean(known) && (run.busy || Boolean(result())); // what is being read is not taken away
    if (!known || missed || away()) {
      return;
    }
    const answer = await fetch(`${run.base}/pulse?pulse=${encodeURIComponent(known)}`).catch(() => null);
    if (answer?.status === 200 && !answer.redirected && !run.busy && !result() && pulse()?.pulse === known) {
      refresh();
    }
  };
  // Who else is on this test: the page says at which step it stands, and is told where the others are.
  const present = () => {
    const box = document.querySelector(".with");
    if (box && !away()) {
      const { black = "", red = "" } = step();
      window.htmx
        .ajax("GET", `${run.base}/with`, { source: box, values: { black, red }, target: box, swap: "innerHTML" })
        .catch(quiet);
    }
  };
  document.addEventListener("htmx:afterSettle", () => missed && listen());
  window.addEventListener("load", () => {
    present();
    follow(
      `${run.base}/events`,
      (what) => {
        if (what !== "people") {
          listen();
        }
        present();
      },
      { often: 3000, seldom: 8000 },
    );
  });
};
