// Places are tried one after the other; what happens, happens at the one that is marked.
const places = () => [...document.querySelectorAll(".places li")];

/** The name of the place that is tried; empty where there is none. */
export const where = () => document.querySelector(".places li.now")?.textContent ?? "";

/** Goes on to the next place; false where that was the last. */
export const nextPlace = () => {
  const all = places();
  const at = all.findIndex((each) => each.classList.contains("now"));
  if (at < 0 || at + 1 >= all.length) {
    return false;
  }
  all[at].className = "held";
  all[at + 1].className = "now";
  return true;
};
