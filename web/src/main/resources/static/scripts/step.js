// The step that the page of a test stands at, as the fields of its form.
export const PARTS = ["stage", "question", "subject", "black", "red", "state", "ties"];

export const step = () =>
  Object.fromEntries([...document.querySelectorAll("#step input")].map((field) => [field.name, field.value]));

/** Whether there is anything to be entered. */
export const isDue = () => document.querySelector("#step input") !== null;

/** The card of a result that stayed. */
export const result = () => document.querySelector(".result");

/** What the page knows of the test: by how many entries, and the last of them. */
export const pulse = () => document.getElementById("pulse")?.dataset;

export const keyOf = (values) => PARTS.map((part) => values[part] ?? "").join("\t");

export const nameOf = ({ black, red, subject, question, stage }) => (black ? `${black} – ${red}` : subject || question || stage);
