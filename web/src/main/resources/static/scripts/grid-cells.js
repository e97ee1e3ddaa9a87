// The cells of a grid: what stands in them, what they make of a text.

export const cells = (row) => [...row.querySelectorAll("input, select")];

export const value = (cell) => (cell.type === "checkbox" ? (cell.checked ? "true" : "") : cell.value);

const plain = (text) => text.trim().toLowerCase().replaceAll(" ", "_");

/** What a cell makes of a text; null where a choice has no such thing. */
export const accepted = (cell, text) => {
  if (cell.type === "checkbox") {
    return /^(true|yes|x|1)$/i.test(text.trim()) ? "true" : "";
  }
  if (cell.tagName !== "SELECT") {
    return text.trim();
  }
  // As files have it, or as the list of choices says it.
  const wanted = plain(text) || cell.dataset.usual;
  return [...cell.options].find((each) => [each.value, each.text].map(plain).includes(wanted))?.value ?? null;
};

export const put = (cell, text) => {
  const taken = accepted(cell, text);
  if (cell.type === "checkbox") {
    cell.checked = taken !== "";
  } else if (taken !== null) {
    cell.value = taken;
  }
};

export const isEmpty = (row) => cells(row).every((cell) => cell.tagName === "SELECT" || value(cell) === "");

/** What continues a pattern: J1.5 -> J1.6; what has no figure stays as it is. */
export const next = (text) => text.replace(/(\d+)(\D*)$/, (all, figure, rest) => String(Number(figure) + 1) + rest);

/** Shows at a cell what is wrong with it; not while it is being typed. */
export const mark = (cell, wrong) => {
  const problem = (cell !== document.activeElement && wrong) || "";
  const place = cell.parentElement.querySelector(".wrong");
  if (problem) {
    cell.setAttribute("aria-invalid", "true");
  } else {
    cell.removeAttribute("aria-invalid");
  }
  cell.title = problem;
  if (place) {
    place.textContent = problem;
  }
};

const MOST_PLACES = 20;

/** Lists texts as buttons that lead to what they are about. */
export const listPlaces = (list, places) => {
  list.replaceChildren(
    ...places.slice(0, MOST_PLACES).map(({ text, go }) => {
      const line = document.createElement("li");
      const button = Object.assign(document.createElement("button"), { type: "button", className: "quiet", textContent: text });
      button.addEventListener("click", go);
      line.append(button);
      return line;
    }),
  );
};
