// The start of a run: stages change places by their buttons; the hidden field carries the order.
const list = document.getElementById("order-list");
const field = document.getElementById("order");

list.addEventListener("click", (event) => {
  const button = event.target.closest("[data-move]");
  if (!button) {
    return;
  }
  const stage = button.closest("li");
  const other = button.dataset.move === "1" ? stage.nextElementSibling : stage.previousElementSibling;
  if (other) {
    (button.dataset.move === "1" ? other : stage).after(button.dataset.move === "1" ? stage : other);
    field.value = [...list.children].map((each) => each.dataset.stage).join(" ");
    button.focus();
  }
});
