// Made-up sounds of a workshop, and how often the beep is missed or heard where there is none. Called with the module under
// test; answers counts by kind of sound. Seeded, so that every run hears the same.
export const beepTrials = ({ learn, BeepListener, BLOCK }, tones, levels) => {
  const RATE = 48000;
  let seed = 12345;
  const random = () => {
    seed = (seed * 1103515245 + 12345) % 2147483648;
    return seed / 2147483648;
  };
  const normal = () => Math.sqrt(-2 * Math.log(random() + 1e-12)) * Math.cos(2 * Math.PI * random());
  const samples = (seconds, at) => Float32Array.from({ length: Math.round(seconds * RATE) }, (_, i) => at(i / RATE, i));
  const mixed = (...all) => all[0].map((_, i) => all.reduce((sum, each) => sum + each[i], 0));
  const scaled = (all, factor) => all.map((each) => each * factor);

  const beep = (seconds, hz, { square = false, from = 0, to = seconds, chop = 0 } = {}) =>
    samples(seconds, (t) => {
      const on = t >= from && t < to && (chop === 0 || (t / chop) % 2 < 1);
      const wave = Math.sin(2 * Math.PI * hz * t);
      return on ? 0.3 * (square ? 0.7 * Math.sign(wave) : wave) : 0;
    });
  const hiss = (seconds) => samples(seconds, () => 0.3 * normal());
  const drill = (seconds) => {
    const base = 180 + 60 * random();
    return samples(seconds, (t) => {
      const hum = [1, 2, 3, 4, 5, 6].reduce((sum, n) => sum + Math.sin(2 * Math.PI * base * n * t + n) / n, 0);
      return 0.2 * hum + 0.08 * normal();
    });
  };
  const voice = (seconds) => {
    const pitch = 110 + 90 * random();
    return samples(seconds, (t) => {
      const syllable = Math.max(0, Math.sin(2 * Math.PI * 3.3 * t));
      const glide = pitch * (1 + 0.12 * Math.sin(2 * Math.PI * 0.9 * t));
      let sum = 0;
      for (let n = 1; n <= 12; n++) {
        sum += Math.sin(2 * Math.PI * glide * n * t) / (1 + Math.abs(n - 5));
      }
      return 0.22 * syllable * sum;
    });
  };
  const music = (seconds) => {
    const notes = [262, 294, 330, 349, 392, 440, 494, 523, 587, 659];
    const melody = Array.from({ length: 40 }, () => notes[Math.floor(random() * notes.length)]);
    return samples(seconds, (t) => {
      const note = melody[Math.floor(t / 0.28) % 40];
      return 0.12 * (Math.sin(2 * Math.PI * note * t) + 0.6 * Math.sin(2 * Math.PI * note * 1.5 * t) + 0.4 * Math.sin(4 * Math.PI * note * t));
    });
  };
  const noises = { quiet: (s) => scaled(hiss(s), 0.005), hiss, drill, voice, music };

  const listened = (tone, sound, arm = false) => {
    const listener = new BeepListener({ ...tone, rate: RATE });
    const events = [];
    for (let at = 0; at + BLOCK <= sound.length; at += BLOCK) {
      if (arm && at === 0) {
        listener.armed();
      }
      const event = listener.feed(sound.subarray(at, at + BLOCK));
      if (event) {
        events.push(event);
      }
    }
    return events;
  };

  const rows = {};
  for (const [kind, noise] of Object.entries(noises)) {
    for (const level of kind === "quiet" ? [1] : levels) {
      const row = { trials: 0, missed: 0, falseBeeps: 0, steadyFromChopped: 0, secondsOfNoise: 0 };
      for (const hz of tones) {
        for (const square of [false, true]) {
          const tone = learn(mixed(beep(1.1, hz, { square }), scaled(noises.quiet(1.1), 1)), RATE);
          const here = (seconds, signal) => mixed(signal, scaled(noise(seconds), level));
          row.trials++;
          row.missed += listened(tone, here(2, beep(2, hz, { square, from: 0.6, to: 1.6 }))).includes("joined") ? 0 : 1;
          row.falseBeeps += listened(tone, here(6, beep(6, hz, { from: 7 }))).filter((each) => each === "joined").length;
          row.secondsOfNoise += 6;
          row.steadyFromChopped += listened(tone, here(2.4, beep(2.4, hz, { square, from: 0.4, chop: 0.11 }))).includes("joined") ? 1 : 0;
        }
      }
      rows[`${kind} ${level}`] = row;
    }
  }
  const learnt = learn(beep(1.1, 2300), RATE);
  const rules = {
    learntHz: tones.map((hz) => learn(mixed(beep(1.1, hz), noises.quiet(1.1)), RATE)?.hz ?? 0),
    refused: ["hiss", "drill", "voice", "music"].filter((kind) => learn(noises[kind](1.1), RATE) === null),
    ongoing: listened(learnt, beep(2, 2300)),
    armedSilence: listened(learnt, noises.quiet(2.6), true),
    unarmedSilence: listened(learnt, noises.quiet(2.6)),
    armedThenBeep: listened(learnt, beep(3, 2300, { from: 0.8 }), true),
    chopped: listened(learnt, beep(2.4, 2300, { from: 0.4, chop: 0.11 })),
    otherMeter: listened(learnt, beep(2, 2600, { from: 0.4 })),
    distant: listened(learnt, scaled(beep(2, 2300, { from: 0.4 }), 0.05)),
  };
  return { rows, rules };
};
