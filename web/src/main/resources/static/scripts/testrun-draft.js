// What is typed belongs to the step that it was begun for. It is kept with it on this device until the server has it: a
// reload, a lost session or somebody else's entry never files it elsewhere.
import { step } from "./step.js";

export class Draft {
  #name;
  #slot;
  /** The step that it was begun for; null while nothing is typed. */
  begun = null;

  constructor(run, slot) {
    this.#name = `marten-draft-${run}`;
    this.#slot = slot;
    const left = slot && JSON.parse(sessionStorage.getItem(this.#name) ?? "null");
    if (left) {
      slot.value = left.typed;
      this.#keep(left.begun);
    }
  }

  /** Something was typed, or everything taken out. */
  follow() {
    this.#keep(this.#slot.value.trim() === "" ? null : (this.begun ?? step()));
  }

  /** The server has it. */
  done() {
    this.#keep(null);
  }

  #keep(begun) {
    this.begun = begun;
    if (begun) {
      sessionStorage.setItem(this.#name, JSON.stringify({ typed: this.#slot.value, begun }));
    } else {
      sessionStorage.removeItem(this.#name);
    }
  }
}
