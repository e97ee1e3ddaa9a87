// A question of the page's own, with a key for each answer.
import { words } from "./say.js";

/** The box of a question; its buttons carry the place of their answer, the last one "again". */
export const questionBox = (text, labels) => {
  const box = document.createElement("div");
  box.className = "say caution question";
  box.setAttribute("role", "alertdialog");
  box.setAttribute("aria-label", text);
  const buttons = document.createElement("div");
  buttons.className = "row-fields";
  [...labels, words("script.type_it_again")].forEach((label, at) => {
    const button = Object.assign(document.createElement("button"), { type: "button", className: "button" });
    button.dataset.meaning = at < labels.length ? String(at) : "again";
    const key = document.createElement("kbd");
    key.textContent = at < labels.length ? String(at + 1) : "Esc";
    button.append(key, ` ${label}`);
    buttons.append(button);
  });
  box.append(Object.assign(document.createElement("p"), { textContent: text }), buttons);
  return box;
};

/** Asks in a dialog of the page, for a text if it has a field; done is called with what was typed. */
export const ask = (id, field, done, focus) => {
  const dialog = document.getElementById(id);
  const input = field ? document.getElementById(field) : null;
  dialog.returnValue = "";
  dialog.onclose = () => {
    if (dialog.returnValue === "ok" && input?.value.trim()) {
      done(input.value.trim());
      input.value = "";
    }
    focus.focus();
  };
  dialog.showModal();
  input?.focus();
};
