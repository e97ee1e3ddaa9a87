// Hands free: the test says its steps, hears the meter's beep and what is said, and says back what it has saved. Everything
// stays on this device.
import { BLOCK, BeepListener, learn } from "./beep.js";
import { words } from "./say.js";
import { speak } from "./speak.js";
import { recogniser, saidIn, understand } from "./spoken.js";

const bar = document.getElementById("hands-free");
const work = () => document.getElementById("work");
const press = (key) => document.querySelector(`.keypad [data-key="${key}"]`)?.click();

const start = () => {
  const state = document.getElementById("hands-state");
  const stop = document.getElementById("hands-stop");
  const dialog = document.getElementById("hands-dialog");
  const trouble = document.getElementById("hands-trouble");
  const speaks = document.getElementById("hands-speak");
  const silent = document.getElementById("hands-silent");
  const byVoice = document.getElementById("hands-voice");
  const voice = window.speechSynthesis;
  let speaking = false;
  let kept = false;
  let said = "";
  let ear = null;
  let speech = null;

  const show = (text) => {
    state.textContent = text;
  };

  const say = (text) => {
    if (speaking) {
      speech?.abort(); // what the test itself says is no answer; it listens again afterwards
      speak(text);
    }
  };

  const sayStep = () => {
    const { heard, say: step } = work().dataset;
    const text = kept && heard ? `${heard} ${step}` : step;
    kept = false;
    if (text !== said) {
      said = text;
      say(text);
    }
    ear?.listener.again();
  };

  // The microphone, block after block; a timer instead of a worklet, so that nothing runs but the scripts of this site.
  const open = async () => {
    const stream = await navigator.mediaDevices.getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
    });
    const context = new AudioContext();
    const analyser = new AnalyserNode(context, { fftSize: BLOCK * 2 });
    context.createMediaStreamSource(stream).connect(analyser);
    await context.resume();
    return { stream, context, analyser };
  };

  const close = ({ stream, context }) => {
    stream.getTracks().forEach((track) => track.stop());
    context.close();
  };

  // A second of sound, put together from blocks as they come by.
  const record = async ({ analyser, context }, seconds) => {
    const all = new Float32Array(Math.ceil((seconds * context.sampleRate) / BLOCK) * BLOCK);
    const block = new Float32Array(analyser.fftSize);
    for (let at = 0; at < all.length; at += BLOCK) {
      await new Promise((done) => setTimeout(done, (1000 * BLOCK) / context.sampleRate));
      analyser.getFloatTimeDomainData(block);
      all.set(block.subarray(block.length - BLOCK), at);
    }
    return all;
  };

  const heard = (what) => {
    const { beeps, silences } = work().dataset;
    if (document.querySelector(".result, dialog[open], #say .question") || document.getElementById("slot").value.trim()) {
      ear?.listener.again();
    } else if (what === "joined" && beeps === "true") {
      show(words("script.heard_beep"));
      press("b");
    } else if (what === "silent" && silences === "true") {
      show(words("script.heard_no_beep"));
      press("n");
    } else {
      const why = what === "unsteady" ? words("script.beep_comes_and_goes") : words("script.read_the_resistance");
      show(words("script.nothing_was_saved", why));
      say(why);
      ear?.listener.again();
    }
  };

  const listen = () => {
    const block = new Float32Array(ear.analyser.fftSize);
    ear.timer = setInterval(() => {
      ear.analyser.getFloatTimeDomainData(block);
      const what = ear.listener.feed(block.subarray(block.length - BLOCK));
      if (what && !voice?.speaking) {
        heard(what);
      } else if (what) {
        ear.listener.again(); // what the test itself says is no beep
      }
    }, (1000 * BLOCK) / ear.context.sampleRate);
  };

  // What is said, word for word: a key or a figure, as if it had been typed.
  const vocabulary = () => ({
    keys: {
      b: words("script.spoken_beep"),
      n: words("script.spoken_no_beep"),
      OL: words("script.spoken_over"),
      Backspace: words("script.spoken_undo"),
      Enter: words("script.spoken_next"),
      say: words("script.spoken_repeat"),
    },
    digits: words("script.spoken_digits"),
    point: words("script.spoken_point"),
    ohm: words("script.spoken_ohm"),
    prefixes: { m: words("script.spoken_milli"), k: words("script.spoken_kilo"), M: words("script.spoken_mega") },
  });

  const answered = (text) => {
    const meant = understand(text, vocabulary());
    const question = document.querySelector("#say .question");
    const choice = question?.querySelector(`[data-meaning="${meant?.typed ? meant.typed - 1 : "again"}"]`);
    const isChoice = question && (meant?.typed || meant?.key === "Backspace");
    show(words("script.heard_words", text));
    if (isChoice && choice) {
      choice.click();
    } else if (meant?.key === "say") {
      say(work().dataset.say);
    } else if (["b", "n"].includes(meant?.key) && !question) {
      heard(meant.key === "b" ? "joined" : "silent");
    } else if (meant?.key && !question) {
      press(meant.key);
    } else if (meant && !question) {
      document.getElementById("slot").value = meant.typed;
      press("Enter");
    } else {
      show(words("script.not_understood", text));
      say(words("script.not_understood", text));
    }
  };

  const listenToWords = async () => {
    const made = await recogniser(document.documentElement.lang);
    if (!made) {
      return;
    }
    const again = () => {
      if (speech === made && voice?.speaking) {
        setTimeout(again, 200);
      } else if (speech === made) {
        made.start();
      }
    };
    made.addEventListener("result", (event) => {
      const text = saidIn(event);
      if (text && !voice?.speaking && !document.querySelector("dialog[open]")) {
        answered(text);
      }
    });
    made.addEventListener("end", again);
    made.addEventListener("error", ({ error }) => {
      if (["not-allowed", "audio-capture", "language-not-supported", "service-not-allowed"].includes(error)) {
        silence();
        show(words("script.microphone_not_there"));
      }
    });
    speech = made;
    again();
  };

  const silence = () => {
    const ended = speech;
    speech = null;
    ended?.abort();
    if (ear) {
      clearInterval(ear.timer);
      close(ear);
    }
    ear = null;
    speaking = false;
    voice?.cancel();
    stop.hidden = true;
    show("");
  };

  const begin = () => {
    speaking = speaks.checked;
    said = "";
    stop.hidden = false;
    dialog.close();
    document.getElementById("slot").focus();
    sayStep();
    if (byVoice.checked) {
      listenToWords();
    }
  };

  document.getElementById("hands-learn").addEventListener("click", async () => {
    silence();
    trouble.textContent = "";
    const seconds = Number(silent.value.replace(",", "."));
    if (!(seconds >= 0.5 && seconds <= 20)) {
      trouble.textContent = words("script.seconds_not_accepted", silent.value);
      return;
    }
    const made = await open().catch(() => null);
    if (!made) {
      trouble.textContent = words("script.microphone_not_there");
      return;
    }
    trouble.textContent = words("script.listening_for_a_second");
    const tone = learn(await record(made, 1.1), made.context.sampleRate);
    if (!tone) {
      close(made);
      trouble.textContent = words("script.no_steady_tone");
      return;
    }
    trouble.textContent = "";
    const listener = new BeepListener({ ...tone, rate: made.context.sampleRate, silentMs: 1000 * seconds });
    ear = { ...made, listener };
    listen();
    begin();
    show(words("script.listening_for_beep", Math.round(tone.hz)));
  });

  document.getElementById("hands-only-speak").addEventListener("click", () => {
    silence();
    speaks.checked = true;
    begin();
    show(byVoice.checked ? words("script.listening_for_words") : words("script.said_aloud"));
  });

  stop.addEventListener("click", silence);
  document.addEventListener("marten:kept", () => {
    kept = true;
  });
  document.addEventListener("htmx:afterSwap", (event) => {
    if (speaking || ear || speech) {
      if (event.detail?.target?.id === "work" || event.target?.id === "work") {
        sayStep();
      }
    }
  });

  document.addEventListener("marten:shown", () => {
    if (speaking || ear || speech) {
      sayStep();
    }
  });

  const arm = () => {
    if (ear) {
      ear.listener.armed();
      show(words("script.probes_are_on"));
    }
  };
  document.addEventListener("keydown", (event) => {
    const slot = document.getElementById("slot");
    const pedal = ["PageDown", "MediaPlayPause"].includes(event.key);
    if (ear && (pedal || (event.key === "p" && !slot.value)) && !document.querySelector("dialog[open]")) {
      event.preventDefault();
      event.stopPropagation();
      arm();
    }
  }, true);
  navigator.mediaSession?.setActionHandler("play", arm);
  navigator.mediaSession?.setActionHandler("pause", arm);
  window.addEventListener("pagehide", silence);
  // Offered only where speech is understood on this device: no sound leaves it.
  bar.querySelector("[data-open]").addEventListener("click", async () => {
    const offered = await recogniser(document.documentElement.lang);
    document.getElementById("hands-by-voice").hidden = !offered;
    document.getElementById("hands-no-voice").hidden = Boolean(offered);
  });
  bar.hidden = false;
};

if (bar) {
  start();
}
