// What was changed in a grid, in steps that belong together, to be undone and done again.

export class Changes {
  #undone = [];
  #redone = [];
  #before = new Map();

  /** Begins anew with what every cell holds, by its name. */
  begin(values) {
    this.#before = new Map(values);
  }

  /** A cell that is shown for the first time. */
  see(name, value) {
    if (!this.#before.has(name)) {
      this.#before.set(name, value);
    }
  }

  /** Keeps a step, of the cells of these names that hold something else than before; false where none does. */
  keep(names, valueOf) {
    const changes = names
      .map((name) => ({ name, from: this.#before.get(name) ?? "", to: valueOf(name) }))
      .filter((each) => each.from !== each.to);
    if (changes.length > 0) {
      this.#undone.push(changes);
      this.#redone = [];
      changes.forEach((each) => this.#before.set(each.name, each.to));
    }
    return changes.length > 0;
  }

  /** Takes the last step back; set is called for each of its cells. The name of the first, or undefined. */
  undo(set) {
    return this.#go(this.#undone, this.#redone, "from", set);
  }

  /** Does again what was taken back last. */
  redo(set) {
    return this.#go(this.#redone, this.#undone, "to", set);
  }

  #go(from, to, which, set) {
    const changes = from.pop();
    if (changes) {
      to.push(changes);
      changes.forEach((each) => {
        set(each.name, each[which]);
        this.#before.set(each.name, each[which]);
      });
    }
    return changes?.[0].name;
  }
}
