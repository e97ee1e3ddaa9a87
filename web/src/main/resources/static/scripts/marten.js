// What every page needs: the token that proves a request is ours, the theme, and a word when the server does not answer.
(() => {
  "use strict";
  const csrf = document.querySelector('meta[name="csrf"]');

  document.addEventListener("htmx:configRequest", (event) => {
    if (csrf?.content) {
      event.detail.headers[csrf.dataset.header] = csrf.content;
    }
  });

  // An identifier of our own making, by which what is sent twice is kept once. By hand: without TLS browsers have no randomUUID.
  const newId = () => {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    bytes[6] = (bytes[6] & 0x0f) | 0x40;
    bytes[8] = (bytes[8] & 0x3f) | 0x80;
    const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, "0")).join("");
    return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join("-");
  };
  // The sentence of a script, in the language of the page: words.js has brought them.
  const say = (code, ...values) =>
    (window.martenWords[code] ?? code).replace(/''|\{(\d+)\}/g, (all, at) => (at === undefined ? "'" : String(values[at])));
  // A box with a message, at once read out.
  const alarm = (text) => {
    const box = Object.assign(document.createElement("div"), { className: "say problem", textContent: text });
    box.setAttribute("role", "alert");
    return box;
  };
  window.marten = { newId, say, alarm };

  // Moments as the reader writes them, in the zone of the reader; what the server's clock said stays as their title.
  const written = new Intl.DateTimeFormat(undefined, { dateStyle: "medium", timeStyle: "short" });
  const showMoments = (place) => {
    place.querySelectorAll("time[data-moment]").forEach((moment) => {
      moment.title = say("script.by_the_servers_clock", moment.textContent.trim());
      moment.textContent = written.format(new Date(moment.dateTime));
      delete moment.dataset.moment;
    });
  };
  showMoments(document);
  document.addEventListener("htmx:afterSettle", (event) => showMoments(event.target));

  // A message in its place; false where the page has none.
  const tell = (text) => {
    const place = document.getElementById("say");
    place?.replaceChildren(alarm(text));
    return Boolean(place);
  };

  // What a page asks by itself fails without a word: nobody has entered anything.
  document.addEventListener("htmx:sendError", (event) => {
    if (!event.target.closest?.("[data-quiet]")) {
      tell(say("script.server_does_not_answer"));
    }
  });

  // An answer that is no message of ours, such as a refusal without words, never takes the place of what is on the page.
  document.addEventListener("htmx:beforeSwap", (event) => {
    const { xhr } = event.detail;
    const ours = (xhr.getResponseHeader("Content-Type") ?? "").startsWith("text/html");
    if (xhr.status < 400 || (ours && document.getElementById("say"))) {
      return;
    }
    event.detail.shouldSwap = false;
    const said = tell(say("script.server_refused", xhr.status));
    if (!said && xhr.status === 401) {
      window.location.reload(); // nothing can be said here, and nothing more can be done without signing in
    }
  });

  // Tests that were open on this device go on without a network; whoever signs out leaves no page behind.
  navigator.serviceWorker?.register("/sw.js").catch(() => {});
  document.addEventListener("submit", (event) => {
    if (event.target.getAttribute("action")?.endsWith("/sign-out")) {
      navigator.serviceWorker?.controller?.postMessage("forget");
    }
  });

  // A box in the head of a list ticks all of its rows.
  document.addEventListener("change", (event) => {
    const { chooseAll } = event.target.dataset;
    if (chooseAll) {
      event.target.form.querySelectorAll(`input[name="${chooseAll}"]`).forEach((each) => (each.checked = event.target.checked));
    }
  });

  const remember = (name, value) => {
    document.cookie = `${name}=${value}; path=/; max-age=31536000; samesite=strict`;
  };
  window.martenRemember = remember;

  // A menu is closed by a press beside it and by Escape.
  const closeMenus = (but) => {
    document.querySelectorAll("details.menu[open]").forEach((menu) => {
      if (!but || !menu.contains(but)) {
        menu.open = false;
      }
    });
  };
  document.addEventListener("click", (event) => closeMenus(event.target));
  document.addEventListener("keydown", (event) => {
    const menu = event.key === "Escape" && document.activeElement?.closest("details.menu[open]");
    if (menu) {
      menu.open = false;
      menu.querySelector("summary").focus();
    }
  });

  document.addEventListener("alpine:init", () => {
    window.Alpine.data("theme", () => ({
      dark: false,
      init() {
        const chosen = document.documentElement.dataset.bsTheme;
        this.dark = chosen ? chosen === "dark" : window.matchMedia("(prefers-color-scheme: dark)").matches;
      },
      get word() {
        return this.dark ? say("script.light") : say("script.dark");
      },
      turn() {
        this.dark = !this.dark;
        const theme = this.dark ? "dark" : "light";
        document.documentElement.dataset.bsTheme = theme;
        remember("theme", theme);
      },
    }));
  });
})();
