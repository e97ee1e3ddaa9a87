// Hears from the server what happens on a test, by server-sent events. Where nothing is heard, for want of a connection or of
// a server that says it, the page asks by itself.

/**
 * Calls happened("test") or happened("people"), and happened("time") every so many milliseconds: often while nothing is heard,
 * seldom otherwise, so that the others see that somebody is still there.
 */
export const follow = (address, happened, { often, seldom }) => {
  let source = null;
  let asked = Date.now();
  const tell = (what) => {
    asked = Date.now();
    happened(what);
  };
  // A page that nobody looks at holds no connection: a browser has only a few of them for one server.
  const look = () => {
    if (document.hidden) {
      source?.close();
      source = null;
    } else if (!source || source.readyState === EventSource.CLOSED) {
      source = new EventSource(address);
      source.addEventListener("open", () => tell("time")); // what happened before it was there
      ["test", "people"].forEach((what) => source.addEventListener(what, () => tell(what)));
    }
  };
  document.addEventListener("visibilitychange", () => {
    look();
    if (!document.hidden) {
      tell("time");
    }
  });
  setInterval(() => {
    const every = source?.readyState === EventSource.OPEN ? seldom : often;
    if (!document.hidden && Date.now() - asked >= every) {
      tell("time");
    }
  }, 500);
  look();
};
