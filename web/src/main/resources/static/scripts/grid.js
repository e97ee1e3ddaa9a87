// The grid in which an assembly is described: moved about, pasted, filled and undone like a spreadsheet; each cell stays an
// ordinary field, so that it also works without this script.
import { accepted, cells, isEmpty, listPlaces, mark, next, put, value } from "./grid-cells.js";
import { Changes } from "./grid-changes.js";
import { draftOf } from "./grid-draft.js";
import { words } from "./say.js";

const form = document.getElementById("grid");
const changes = new Changes();
const SHOWN = Number(form.dataset.shown);
const MOST = Number(form.dataset.most);
const tables = [...form.querySelectorAll("table[data-table]")];
const rowsOf = (table) => [...table.tBodies[0].rows];

// --- of a large table the page shows some rows; the cells of all others are held here by their names, and sent as one text

const beyond = form.elements.beyond;
let held = new Map(Object.entries(JSON.parse(beyond.value || "{}")));
let problems = new Map();
const first = (table) => Number(table.dataset.first ?? 0);
const total = (table) => Number(table.dataset.total);
const blanks = new Map(); // an empty row of each table
const column = (table, x) => cells(blanks.get(table))[x].name.split(".")[2];
const nameAt = (table, y, x) => `${table.dataset.table}.${y}.${column(table, x)}`;
const hold = () => (beyond.value = held.size > 0 ? JSON.stringify(Object.fromEntries(held)) : "");

const place = (cell) => {
  const row = cell.closest("tr");
  const table = cell.closest("table[data-table]");
  return table ? { table, y: first(table) + rowsOf(table).indexOf(row), x: cells(row).indexOf(cell) } : null;
};

const at = (table, y, x) => {
  const row = rowsOf(table)[y - first(table)];
  return row ? cells(row)[x] : undefined;
};

/** Makes a row that of a number: its names, what is held of it, what is wrong with it. */
const number = (table, row, y) => {
  cells(row).forEach((cell) => {
    cell.name = cell.name.replace(/\.\d+\./, `.${y}.`);
    cell.setAttribute("aria-label", cell.getAttribute("aria-label").replace(/\d+$/, y + 1));
    put(cell, held.get(cell.name) ?? "");
    held.delete(cell.name);
    changes.see(cell.name, value(cell));
    mark(cell, problems.get(cell.name));
  });
  row.querySelectorAll("output").forEach((each) => {
    each.textContent = "";
    each.dataset.row = `${table.dataset.table}.${y}`;
  });
};

const range = (table) => {
  const bar = table.closest("section").querySelector("[data-turns]");
  const last = Math.min(first(table) + SHOWN, total(table));
  bar.hidden = total(table) <= SHOWN;
  bar.querySelector("[data-range]").textContent = words("script.rows_of", first(table) + 1, last, total(table));
  bar.querySelector("[data-turn='-1']").hidden = first(table) === 0;
  bar.querySelector("[data-turn='1']").hidden = last === total(table);
};

/** Shows the rows from one on, and holds those that stood there. */
const turn = (table, from) => {
  rowsOf(table)
    .filter((row) => !isEmpty(row))
    .forEach((row) => cells(row).forEach((cell) => value(cell) !== "" && held.set(cell.name, value(cell))));
  table.dataset.first = from;
  const wanted = Math.max(1, Math.min(SHOWN, total(table) - from));
  rowsOf(table).slice(wanted).forEach((row) => row.remove());
  while (rowsOf(table).length < wanted) {
    table.tBodies[0].append(...Array.from({ length: wanted - rowsOf(table).length }, () => blanks.get(table).cloneNode(true)));
  }
  rowsOf(table).forEach((row, i) => number(table, row, from + i));
  if (table.dataset.table === "wires") {
    form.elements.window.value = from;
  }
  hold();
  range(table);
};

/** Shows a row wherever it is, if the table has it. */
const reach = (table, y) => {
  if (y >= 0 && y < total(table) && !at(table, y, 0)) {
    turn(table, Math.floor(y / SHOWN) * SHOWN);
    changed();
  }
};

const partsOf = (name) => {
  const [code, y] = name.split(".");
  const table = tables.find((each) => each.dataset.table === code);
  return table && y !== undefined ? { table, y: Number(y) } : null;
};

const setNamed = (name, text) => {
  const cell = form.elements[name];
  if (cell) {
    put(cell, text);
  } else if (text) {
    held.set(name, text);
  } else {
    held.delete(name);
  }
};

const named = (name) => {
  const cell = form.elements[name];
  return cell ? value(cell) : (held.get(name) ?? "");
};

// --- undo

const remember = () => {
  const all = tables.flatMap((table) => [...table.querySelectorAll("input, select")]);
  changes.begin([...held, ...all.map((each) => [each.name, value(each)])]);
};

const step = (names) => {
  if (changes.keep(names, named)) {
    changed();
  }
};

const again = (name) => {
  if (name === undefined) {
    return;
  }
  hold();
  const { table, y } = partsOf(name);
  reach(table, y);
  form.elements[name]?.focus();
  changed();
};

// --- a further row, which continues the pattern: J1.5 -> J1.6

const grow = (table, rows) => {
  table.dataset.total = Math.min(MOST, rows);
  while (rowsOf(table).length < Math.min(SHOWN, total(table) - first(table))) {
    const row = blanks.get(table).cloneNode(true);
    table.tBodies[0].append(row);
    number(table, row, first(table) + rowsOf(table).length - 1);
  }
  range(table);
};

const keepEmptyRow = (table) => {
  const rows = rowsOf(table);
  if (first(table) + rows.length === total(table) && !isEmpty(rows[rows.length - 1])) {
    grow(table, total(table) + 1);
  }
};

const fillDown = (cell) => {
  const { table, y, x } = place(cell);
  if (y > 0) {
    const above = named(nameAt(table, y - 1, x));
    put(cell, x < 3 && cell.tagName === "INPUT" && cell.type !== "checkbox" ? next(above) : above);
    keepEmptyRow(table);
    step([cell.name]);
  }
};

const copyRowAbove = (cell) => {
  const { table, y } = place(cell);
  if (y === 0) {
    return;
  }
  const own = cells(cell.closest("tr"));
  own.forEach((each, x) => {
    const counts = each.tagName === "INPUT" && each.type !== "checkbox" && /^(id|from|to|a|b)$/.test(column(table, x));
    const above = named(nameAt(table, y - 1, x));
    put(each, counts ? next(above) : above);
  });
  keepEmptyRow(table);
  step(own.map((each) => each.name));
};

const commands = {
  z: (cell, shift) => {
    step([cell.name]);
    again(shift ? changes.redo(setNamed) : changes.undo(setNamed));
  },
  y: () => again(changes.redo(setNamed)),
  d: (cell, shift) => (shift ? copyRowAbove(cell) : fillDown(cell)),
};

form.addEventListener("keydown", (event) => {
  const cell = event.target;
  const where = place(cell);
  if (!where) {
    return;
  }
  const { table, y, x } = where;
  const go = (line) => {
    reach(table, line);
    const to = at(table, line, x);
    if (to) {
      event.preventDefault();
      to.focus();
      to.select?.();
    }
  };
  const command = (event.ctrlKey || event.metaKey) && commands[event.key.toLowerCase()];
  if (command) {
    event.preventDefault();
    command(cell, event.shiftKey);
  } else if (event.key === "Enter" && cell.tagName !== "BUTTON") {
    event.preventDefault();
    keepEmptyRow(table);
    go(y + (event.shiftKey ? -1 : 1));
  } else if (event.key === "ArrowDown" && cell.tagName !== "SELECT") {
    go(y + 1);
  } else if (event.key === "ArrowUp" && cell.tagName !== "SELECT") {
    go(y - 1);
  }
});

form.addEventListener("paste", (event) => {
  const where = place(event.target);
  const text = event.clipboardData?.getData("text/plain") ?? "";
  if (!where || !/[\t\n]/.test(text.trimEnd())) {
    return;
  }
  event.preventDefault();
  const lines = text.replace(/\r/g, "").replace(/\n$/, "").split("\n");
  const room = lines.slice(0, MOST - where.y);
  const { table } = where;
  grow(table, Math.max(total(table), where.y + room.length + 1));
  const template = cells(blanks.get(table));
  const names = [];
  room.forEach((line, down) => {
    line.split("\t").forEach((each, right) => {
      const x = where.x + right;
      const taken = x < template.length ? accepted(template[x], each) : null;
      if (taken !== null) {
        const name = nameAt(table, where.y + down, x);
        setNamed(name, taken);
        names.push(name);
      }
    });
  });
  hold();
  keepEmptyRow(table);
  step(names);
  const said = document.getElementById("grid-said");
  said.hidden = room.length === lines.length;
  said.textContent = said.hidden ? "" : words("script.rows_not_taken", lines.length - room.length, MOST);
});

form.addEventListener("click", (event) => {
  const button = event.target.closest("[data-turn]");
  if (button) {
    const table = button.closest("section").querySelector("table[data-table]");
    turn(table, first(table) + Number(button.dataset.turn) * SHOWN);
    changed();
  }
});

form.addEventListener("change", (event) => {
  const where = place(event.target);
  if (where) {
    keepEmptyRow(where.table);
    step([event.target.name]);
  } else {
    changed();
  }
});
form.addEventListener("input", (event) => {
  const where = place(event.target);
  if (where) {
    keepEmptyRow(where.table);
  }
  soon();
});

// --- the drawing and the limits follow; what is typed is kept on this device until it is saved

let timer = 0;
const check = () => document.body.dispatchEvent(new Event("check"));
const soon = () => {
  clearTimeout(timer);
  timer = setTimeout(changed, 500);
};

const changed = () => {
  clearTimeout(timer);
  if (held.size > 0) {
    timer = setTimeout(check, 1500); // the whole of a large assembly is not sent at every cell
  } else {
    check();
  }
  draft.keep();
};

// What is wrong in rows that are not shown, each with a button that leads there.
const elsewhere = () =>
  [...problems]
    .filter(([name]) => partsOf(name) && !form.elements[name])
    .map(([name, text]) => ({
      text: words("script.row_says", partsOf(name).y + 1, text),
      go: () => {
        reach(partsOf(name).table, partsOf(name).y);
        form.elements[name]?.focus();
      },
    }));

document.body.addEventListener("htmx:afterSettle", (event) => {
  if (event.target.id !== "check") {
    return;
  }
  problems = new Map([...event.target.querySelectorAll("[data-said] li")].map((said) => [said.dataset.cell ?? "", said.textContent]));
  tables.forEach((table) => table.querySelectorAll("input, select").forEach((cell) => mark(cell, problems.get(cell.name))));
  listPlaces(event.target.querySelector("[data-elsewhere]"), elsewhere());
  form.querySelectorAll("output[data-row]").forEach((each) => (each.textContent = ""));
  event.target.querySelectorAll("[data-limits] li").forEach((limit) => {
    const output = form.querySelector(`output[data-row="${limit.dataset.row}"]`);
    if (output) {
      output.textContent = limit.textContent;
    }
  });
});

const takeBack = (fields) => {
  held = new Map(Object.entries(JSON.parse(fields.find(([name]) => name === "beyond")?.[1] || "{}")));
  const rows = new Map();
  fields.filter(([name]) => name !== "beyond").forEach(([name, text]) => {
    setNamed(name, text);
  });
  [...held.keys()].map(partsOf).filter(Boolean).forEach(({ table, y }) => rows.set(table, Math.max(rows.get(table) ?? 0, y + 1)));
  rows.forEach((last, table) => {
    table.dataset.total = Math.min(MOST, Math.max(total(table), last + 1));
  });
  tables.forEach((table) => turn(table, first(table)));
  remember();
  changed();
};

tables.forEach((table) => {
  const blank = rowsOf(table)[0].cloneNode(true);
  cells(blank).forEach((cell) => put(cell, ""));
  blanks.set(table, blank);
});

const draft = draftOf(form, takeBack);
remember();
tables.forEach(range);
