/** The sentence of a script, in the language of the page. */
export const words = (code, ...values) => window.marten.say(code, ...values);

/** A box with a message, at once read out. */
export const alarm = (text) => window.marten.alarm(text);
