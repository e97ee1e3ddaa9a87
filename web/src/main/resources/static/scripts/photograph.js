// A photograph made small on this device: at most so many pixels a side, upright, without what the phone wrote into it.
const LONGEST = 2000;
const QUALITY = 0.85;

/** The picture as a JPEG; what is no picture that this browser can read stays as it is, and the server says so. */
export const scaled = async (file) => {
  const picture = await createImageBitmap(file, { imageOrientation: "from-image" }).catch(() => null);
  if (!picture) {
    return file;
  }
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext("2d").drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const small = await new Promise((done) => canvas.toBlob(done, "image/jpeg", QUALITY));
  return small ? new File([small], file.name.replace(/\.\w+$/, "") + ".jpg", { type: small.type }) : file;
};

/** A photograph and a note, given to be kept and empty again once they were; folded up, so that the keys stay in reach. */
export const photographField = (words, keep) => {
  const make = (tag, more) => Object.assign(document.createElement(tag), more);
  const label = (text, field, className = "") => {
    const made = make("label", { textContent: text, className });
    made.append(field);
    return made;
  };
  const folded = make("details", { id: "photo-away" });
  folded.append(make("summary", { textContent: words("script.photograph") }));
  const box = make("form", { className: "row-fields" });
  const file = make("input", { type: "file", accept: "image/jpeg,image/png", required: true });
  file.setAttribute("capture", "environment");
  const note = make("input", { maxLength: 200, autocomplete: "off" });
  box.append(
    label(words("script.photograph_jpeg_or_png"), file),
    label(words("script.what_is_on_it"), note, "grow"),
    make("button", { className: "button", textContent: words("script.keep_photograph") }),
  );
  box.addEventListener("keydown", (event) => event.stopPropagation()); // a note is no key of the test
  box.addEventListener("submit", async (event) => {
    event.preventDefault();
    if (await keep(await scaled(file.files[0]), note.value)) {
      box.reset();
      folded.open = false;
    }
  });
  folded.append(box);
  return folded;
};

// On the page of photographs the chosen one is made small before it is sent.
document.querySelectorAll("form input[type=file][data-scale]").forEach((field) =>
  field.addEventListener("change", async () => {
    const [file] = field.files;
    const button = field.form.querySelector("button.do");
    if (file) {
      button.disabled = true;
      const chosen = new DataTransfer();
      chosen.items.add(await scaled(file));
      field.files = chosen.files;
      button.disabled = false;
    }
  }),
);
