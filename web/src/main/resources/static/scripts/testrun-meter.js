// A meter on the network: read once by a key, or followed while nobody types.
import { alarm, words } from "./say.js";
import { isDue, result, step } from "./step.js";

const EVERY = 800;

export class Meter {
  #run;
  #timer = 0;
  #shown = "";

  /** Of a run: its address, its slot, where it says something, whether it waits for an answer, how a reading is kept. */
  constructor(run) {
    this.#run = run;
  }

  /** Whether what stands in the slot was typed by nobody. */
  get isFollowed() {
    return this.#run.slot.value === this.#shown;
  }

  // The reading, as text; a message where it cannot be had.
  async #read() {
    const answer = await fetch(`${this.#run.base}/shown?${new URLSearchParams(step())}`, {
      headers: { "HX-Request": "true" },
    }).catch(() => null);
    if (answer?.ok && !answer.redirected) {
      return answer.text();
    }
    const said = new DOMParser().parseFromString((await answer?.text()) ?? "", "text/html").body.textContent.trim();
    this.#run.say.replaceChildren(alarm(said || words("script.nothing_answers")));
    return null;
  }

  /** Reads once and keeps it. Whoever types meanwhile keeps what they typed. */
  async take() {
    const run = this.#run;
    if (run.busy || run.typing() || !isDue()) {
      return;
    }
    run.busy = true;
    const shown = await this.#read();
    run.busy = false;
    if (shown && !run.typing()) {
      run.slot.value = shown;
      run.keep(shown);
    }
  }

  /** Begins to follow it, or stops. */
  follow() {
    clearInterval(this.#timer);
    this.#timer = this.#timer ? 0 : setInterval(() => this.#show(), EVERY);
    document.getElementById("live")?.setAttribute("aria-pressed", String(this.#timer !== 0));
    this.#shown = "";
  }

  async #show() {
    const run = this.#run;
    if (run.busy || result() || document.hidden || (run.typing() && !this.isFollowed)) {
      return;
    }
    const shown = await this.#read();
    if (shown === null) {
      this.follow();
    } else if (!run.busy && (!run.typing() || this.isFollowed)) {
      this.#shown = shown;
      run.slot.value = shown;
      run.slot.dispatchEvent(new Event("input"));
    }
  }
}
