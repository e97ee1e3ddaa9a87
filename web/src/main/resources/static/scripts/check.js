// Check one thing: Enter goes on to the next reading, so that nothing typed meanwhile is lost; what is saved is what stands here.
const form = document.getElementById("check");
const readings = () => [...form.querySelectorAll(".readings input")];

form.addEventListener("keydown", (event) => {
  const all = readings();
  const at = all.indexOf(event.target);
  if (event.key !== "Enter" || at < 0) {
    return;
  }
  event.preventDefault();
  const next = all.slice(at + 1).find((each) => !each.value) ?? all[at + 1] ?? event.target;
  if (next === event.target) {
    event.target.blur();
  } else {
    next.focus();
  }
});

form.addEventListener("change", (event) => event.target.matches(".settings select") && form.requestSubmit());

document.querySelector("[data-keep=check]")?.addEventListener("submit", (event) => {
  const keep = event.target;
  for (const [name, value] of new FormData(form)) {
    const hidden = keep.querySelector(`input[type=hidden][name="${CSS.escape(name)}"]`) ?? document.createElement("input");
    hidden.type = "hidden";
    hidden.name = name;
    hidden.value = value;
    keep.append(hidden);
  }
});
