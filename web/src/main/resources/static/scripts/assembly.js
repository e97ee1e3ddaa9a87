// Wirings: one selection for list and drawing, and a file read into the paste field.
import { alarm, words } from "./say.js";

const pick = (room, names) => {
  const chosen = new Set(names);
  room.querySelectorAll("[data-wire]").forEach((element) => {
    element.classList.toggle("picked", chosen.has(element.dataset.wire));
  });
  room.querySelectorAll("[data-wires]").forEach((element) => {
    element.classList.toggle("picked", names.length > 0 && element.dataset.wires === names.join(" "));
  });
  room.querySelectorAll("svg.assembly-drawing").forEach((drawing) => drawing.classList.toggle("picking", chosen.size > 0));
  const row = room.querySelector("tr.picked[data-sentence]");
  const place = document.getElementById("derivation");
  if (row && place) {
    place.textContent = row.dataset.sentence;
    row.scrollIntoView({ block: "nearest" });
  }
};

const picked = (event) => {
  const room = event.target.closest("[data-pick-room]");
  const wire = event.target.closest("[data-wire]");
  const wires = event.target.closest("[data-wires]");
  if (!room || event.target.closest("a, button, summary") || (!wire && !wires)) {
    return;
  }
  pick(room, wire ? [wire.dataset.wire] : wires.dataset.wires.split(" "));
};

document.addEventListener("click", picked);
document.addEventListener("focusin", picked);

const csrf = document.querySelector('meta[name="csrf"]');

/** A workbook as the server reads it; null where it is refused, with the reason below the field. */
const fromWorkbook = async (file) => {
  const form = new FormData();
  form.append("file", file);
  const headers = { "HX-Request": "true", [csrf.dataset.header]: csrf.content };
  const answer = await fetch("/assemblies/spreadsheet", { method: "POST", body: form, headers }).catch(() => null);
  if (answer?.ok) {
    return answer.text();
  }
  const place = document.getElementById("preview");
  if (answer) {
    place.innerHTML = await answer.text();
  } else {
    place.replaceChildren(alarm(words("script.server_did_not_answer")));
  }
  return null;
};

document.addEventListener("alpine:init", () => {
  window.Alpine.data("wireFile", () => ({
    async take(event) {
      const file = event.target.files[0];
      if (!file) {
        return;
      }
      const field = document.getElementById("list");
      const text = file.name.toLowerCase().endsWith(".xlsx") ? await fromWorkbook(file) : await file.text();
      if (text === null) {
        event.target.value = "";
        return;
      }
      field.value = text;
      field.dispatchEvent(new Event("input", { bubbles: true }));
      event.target.value = "";
    },
  }));
});
