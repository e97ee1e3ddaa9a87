// Hands free: the test says its steps, hears the meter's beep and says back what it has saved. Everything stays on this device.
const bar = document.getElementById("hands-free");
const work = () => document.getElementById("work");
const words = (code, ...values) => window.marten.say(code, ...values);
const press = (key) => document.querySelector(`.keypad [data-key="${key}"]`)?.click();

const start = async () => {
  const { learn, BeepListener, BLOCK } = await import(bar.dataset.beep);
  const { speak } = await import(bar.dataset.speak);
  const state = document.getElementById("hands-state");
  const stop = document.getElementById("hands-stop");
  const dialog = document.getElementById("hands-dialog");
  const trouble = document.getElementById("hands-trouble");
  const speaks = document.getElementById("hands-speak");
  const silent = document.getElementById("hands-silent");
  const voice = window.speechSynthesis;
  let speaking = false;
  let kept = false;
  let said = "";
  let ear = null;

  const show = (text) => {
    state.textContent = text;
  };

  const say = (text) => {
    if (speaking) {
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
      ear.listener.again();
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
      ear.listener.again();
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

  const silence = () => {
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
    show(words("script.said_aloud"));
  });

  stop.addEventListener("click", silence);
  document.addEventListener("marten:kept", () => {
    kept = true;
  });
  document.addEventListener("htmx:afterSwap", (event) => {
    if (speaking || ear) {
      if (event.detail?.target?.id === "work" || event.target?.id === "work") {
        sayStep();
      }
    }
  });

  document.addEventListener("marten:shown", () => {
    if (speaking || ear) {
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
  bar.hidden = false;
};

if (bar) {
  start();
}
