// What a phone beside the work needs.

/** Its screen stays on. */
export const stayAwake = () => {
  const awake = () => navigator.wakeLock?.request("screen").catch(() => {});
  document.addEventListener("visibilitychange", () => document.visibilityState === "visible" && awake());
  awake();
};

/** Our own pad is there for readings; words need the phone's keyboard. */
export const prepareSlot = (slot, { hint, words }) => {
  if (slot && hint) {
    slot.placeholder = hint;
    const pad = window.matchMedia("(pointer: coarse)").matches && !words;
    slot.setAttribute("inputmode", pad ? "none" : "text");
  }
};

/** The cell of a drawn field of touches that was pressed, as the form of the step names it. */
export const cellAt = (field, event) => {
  const box = field.getBoundingClientRect();
  const scale = field.viewBox.baseVal.width / box.width;
  const { stage, columns, cell } = field.dataset;
  const at = (pixels) => Math.floor((pixels * scale - 1) / Number(cell));
  return { stage, row: at(event.clientY - box.top), column: at(event.clientX - box.left), columns };
};
