// Says a text aloud, only by a voice that is on this device; silent where there is none.
export const speak = (text) => {
  const voice = window.speechSynthesis;
  if (!voice || !text) {
    return;
  }
  voice.cancel();
  const words = new SpeechSynthesisUtterance(text);
  words.lang = document.documentElement.lang;
  const own = voice.getVoices().filter((each) => each.localService);
  words.voice = own.find((each) => each.lang.startsWith(words.lang.slice(0, 2))) ?? own[0] ?? null;
  if (words.voice) {
    voice.speak(words);
  }
};
