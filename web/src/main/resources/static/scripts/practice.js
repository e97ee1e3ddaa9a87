// The practice room: two clicks on terminals are a measurement, the line keeps the focus, arrows walk through a replay.
const line = () => document.getElementById("action");
let black = "";

const mark = (pin) => {
  document.querySelectorAll("[data-pin].picked").forEach((each) => each.classList.remove("picked"));
  pin?.classList.add("picked");
};

document.addEventListener("click", (event) => {
  const pin = event.target.closest("[data-pin]");
  if (!pin || !line()) {
    return;
  }
  const words = line().value.trim();
  if (/^(link|scrape|test)\b/.test(words)) {
    line().value = `${words} ${pin.dataset.pin}`;
  } else if (black && black !== pin.dataset.pin) {
    line().value = `${black} ${pin.dataset.pin}`;
    black = "";
    line().form.requestSubmit();
  } else {
    black = pin.dataset.pin;
    mark(pin);
    line().value = `${black} `;
  }
  line().focus();
});

document.addEventListener("htmx:afterSettle", () => {
  black = "";
  line()?.focus();
});

document.addEventListener("keydown", (event) => {
  const rel = { ArrowLeft: "prev", ArrowRight: "next" }[event.key];
  const link = rel && !line() && document.querySelector(`a[rel=${rel}]`);
  if (link && !event.ctrlKey && !event.altKey && !event.metaKey) {
    link.click();
  }
});
