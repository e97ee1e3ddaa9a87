// The grid in which an assembly is described: moved about, pasted, filled and undone like a spreadsheet; each cell stays an
// ordinary field, so that it also works without this script.
(() => {
  "use strict";

  const form = document.getElementById("grid");
  if (!form) {
    return;
  }
  const undone = [];
  const redone = [];
  let before = new Map();

  const cells = (row) => [...row.querySelectorAll("input, select")];
  const rowsOf = (table) => [...table.tBodies[0].rows];
  const value = (cell) => (cell.type === "checkbox" ? (cell.checked ? "true" : "") : cell.value);

  const place = (cell) => {
    const row = cell.closest("tr");
    const table = cell.closest("table[data-table]");
    return table ? { table, y: rowsOf(table).indexOf(row), x: cells(row).indexOf(cell) } : null;
  };

  const at = (table, y, x) => {
    const row = rowsOf(table)[y];
    return row ? cells(row)[x] : undefined;
  };

  const put = (cell, text) => {
    if (cell.type === "checkbox") {
      cell.checked = /^(true|yes|x|1)$/i.test(text.trim());
    } else if (cell.tagName === "SELECT") {
      const wanted = text.trim().toLowerCase().replaceAll(" ", "_");
      const option = [...cell.options].find((each) => each.value.toLowerCase() === wanted);
      if (option) {
        cell.value = option.value;
      }
    } else {
      cell.value = text.trim();
    }
  };

  // --- undo: what a cell was before each change, in steps that belong together

  const remember = () => {
    before = new Map([...form.querySelectorAll("table[data-table] input, table[data-table] select")].map((each) => [each.name, value(each)]));
  };

  const step = (names) => {
    const changes = names
      .map((name) => ({ name, from: before.get(name) ?? "", to: value(form.elements[name]) }))
      .filter((each) => each.from !== each.to);
    if (changes.length > 0) {
      undone.push(changes);
      redone.length = 0;
      changes.forEach((each) => before.set(each.name, each.to));
      changed();
    }
  };

  const again = (from, to, which) => {
    const changes = from.pop();
    if (!changes) {
      return;
    }
    to.push(changes);
    changes.forEach((each) => {
      const cell = form.elements[each.name];
      if (cell) {
        put(cell, each[which]);
        before.set(each.name, each[which]);
      }
    });
    form.elements[changes[0].name]?.focus();
    changed();
  };

  // --- a further row, which continues the pattern: J1.5 -> J1.6

  const next = (text) => text.replace(/(\d+)(\D*)$/, (all, number, rest) => String(Number(number) + 1) + rest);

  const addRow = (table) => {
    const rows = rowsOf(table);
    const row = rows[rows.length - 1].cloneNode(true);
    cells(row).forEach((cell) => {
      cell.name = cell.name.replace(/\.\d+\./, `.${rows.length}.`);
      cell.setAttribute("aria-label", cell.getAttribute("aria-label").replace(/\d+$/, rows.length + 1));
      cell.removeAttribute("aria-invalid");
      if (cell.type === "checkbox") {
        cell.checked = false;
      } else if (cell.tagName !== "SELECT") {
        cell.value = "";
      }
      before.set(cell.name, value(cell));
    });
    row.querySelectorAll(".wrong").forEach((each) => (each.textContent = ""));
    row.querySelectorAll("output").forEach((each) => {
      each.textContent = "";
      each.dataset.row = `${table.dataset.table}.${rows.length}`;
    });
    table.tBodies[0].append(row);
  };

  const isEmpty = (row) => cells(row).every((cell) => cell.tagName === "SELECT" || value(cell) === "");

  const keepEmptyRow = (table) => {
    const rows = rowsOf(table);
    if (!isEmpty(rows[rows.length - 1]) && rows.length < 400) {
      addRow(table);
    }
  };

  const fillDown = (cell) => {
    const { table, y, x } = place(cell);
    const above = at(table, y - 1, x);
    if (above) {
      put(cell, x < 3 && cell.tagName === "INPUT" && cell.type !== "checkbox" ? next(value(above)) : value(above));
      keepEmptyRow(table);
      step([cell.name]);
    }
  };

  const copyRowAbove = (cell) => {
    const { table, y } = place(cell);
    const above = rowsOf(table)[y - 1];
    if (!above) {
      return;
    }
    const own = cells(cell.closest("tr"));
    cells(above).forEach((each, x) => {
      const counts = each.tagName === "INPUT" && each.type !== "checkbox" && /^(id|from|to|a|b)$/.test(each.name.split(".")[2]);
      put(own[x], counts ? next(value(each)) : value(each));
    });
    keepEmptyRow(table);
    step(own.map((each) => each.name));
  };

  form.addEventListener("keydown", (event) => {
    const cell = event.target;
    const where = place(cell);
    if (!where) {
      return;
    }
    const { table, y, x } = where;
    const command = event.ctrlKey || event.metaKey;
    const go = (to) => {
      if (to) {
        event.preventDefault();
        to.focus();
        to.select?.();
      }
    };
    if (command && event.key.toLowerCase() === "z") {
      event.preventDefault();
      step([cell.name]);
      if (event.shiftKey) {
        again(redone, undone, "to");
      } else {
        again(undone, redone, "from");
      }
    } else if (command && event.key.toLowerCase() === "y") {
      event.preventDefault();
      again(redone, undone, "to");
    } else if (command && event.key.toLowerCase() === "d") {
      event.preventDefault();
      if (event.shiftKey) {
        copyRowAbove(cell);
      } else {
        fillDown(cell);
      }
    } else if (event.key === "Enter" && cell.tagName !== "BUTTON") {
      event.preventDefault();
      keepEmptyRow(table);
      go(at(table, y + (event.shiftKey ? -1 : 1), x));
    } else if (event.key === "ArrowDown" && cell.tagName !== "SELECT") {
      go(at(table, y + 1, x));
    } else if (event.key === "ArrowUp" && cell.tagName !== "SELECT") {
      go(at(table, y - 1, x));
    }
  });

  form.addEventListener("paste", (event) => {
    const where = place(event.target);
    const text = event.clipboardData?.getData("text/plain") ?? "";
    if (!where || !/[\t\n]/.test(text.trimEnd())) {
      return;
    }
    event.preventDefault();
    const names = [];
    text
      .replace(/\r/g, "")
      .replace(/\n$/, "")
      .split("\n")
      .forEach((line, down) => {
        if (!at(where.table, where.y + down, 0) && rowsOf(where.table).length < 400) {
          addRow(where.table);
        }
        line.split("\t").forEach((each, right) => {
          const cell = at(where.table, where.y + down, where.x + right);
          if (cell) {
            put(cell, each);
            names.push(cell.name);
          }
        });
      });
    keepEmptyRow(where.table);
    step(names);
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
  const soon = () => {
    clearTimeout(timer);
    timer = setTimeout(changed, 500);
  };

  const draft = form.dataset.draft;
  const filled = () => [...new FormData(form)].filter(([name, text]) => text !== "" && name !== "_csrf" && name !== "base");

  const changed = () => {
    clearTimeout(timer);
    document.body.dispatchEvent(new Event("check"));
    try {
      localStorage.setItem(draft, JSON.stringify(filled()));
    } catch {
      // without room on the device there is no draft
    }
  };

  document.body.addEventListener("htmx:afterSettle", (event) => {
    if (event.target.id !== "check") {
      return;
    }
    form.querySelectorAll("[aria-invalid]").forEach((each) => each.removeAttribute("aria-invalid"));
    form.querySelectorAll(".wrong").forEach((each) => (each.textContent = ""));
    event.target.querySelectorAll("[data-said] li").forEach((said) => {
      const cell = form.elements[said.dataset.cell];
      if (cell && cell !== document.activeElement) {
        cell.setAttribute("aria-invalid", "true");
        cell.title = said.textContent;
        const wrong = cell.parentElement.querySelector(".wrong");
        if (wrong) {
          wrong.textContent = said.textContent;
        }
      }
    });
    form.querySelectorAll("output[data-row]").forEach((each) => (each.textContent = ""));
    event.target.querySelectorAll("[data-limits] li").forEach((limit) => {
      const output = form.querySelector(`output[data-row="${limit.dataset.row}"]`);
      if (output) {
        output.textContent = limit.textContent;
      }
    });
  });

  form.addEventListener("submit", () => localStorage.removeItem(draft));

  const kept = localStorage.getItem(draft);
  if (kept && kept !== JSON.stringify(filled())) {
    const offer = document.getElementById("draft");
    offer.hidden = false;
    offer.querySelector("[data-take]").addEventListener("click", () => {
      JSON.parse(kept).forEach(([name, text]) => {
        const [code, row] = name.split(".");
        const table = form.querySelector(`table[data-table="${code}"]`);
        while (table && row && !form.elements[name] && rowsOf(table).length < 400) {
          addRow(table);
        }
        const cell = form.elements[name];
        if (cell) {
          put(cell, text);
        }
      });
      offer.hidden = true;
      remember();
      changed();
    });
    offer.querySelector("[data-drop]").addEventListener("click", () => {
      localStorage.removeItem(draft);
      offer.hidden = true;
    });
  }
  remember();
})();
