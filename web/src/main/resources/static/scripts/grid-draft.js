// What is typed in a form is kept on this device until it is saved, and offered again.

/** The draft of a form: keep() writes it, take is called with its fields if it is wanted again. */
export const draftOf = (form, take) => {
  const name = form.dataset.draft;
  const ours = ["_csrf", "base", "window"];
  const filled = () => JSON.stringify([...new FormData(form)].filter(([field, text]) => text !== "" && !ours.includes(field)));
  const drop = () => localStorage.removeItem(name);
  const offer = (kept) => {
    const box = document.getElementById("draft");
    box.hidden = false;
    box.querySelector("[data-take]").addEventListener("click", () => {
      take(JSON.parse(kept));
      box.hidden = true;
    });
    box.querySelector("[data-drop]").addEventListener("click", () => {
      drop();
      box.hidden = true;
    });
  };
  form.addEventListener("submit", drop);
  const kept = localStorage.getItem(name);
  if (kept && kept !== filled()) {
    offer(kept);
  }
  return {
    keep: () => {
      try {
        localStorage.setItem(name, filled());
      } catch {
        // without room on the device there is no draft
      }
    },
  };
};
