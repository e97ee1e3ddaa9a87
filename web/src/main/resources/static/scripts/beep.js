// The meter's beep in a stream of samples. Plain functions and one class: no microphone, no page.
//
// A tone is told by how much of the energy of a block lies at its frequency (Goertzel's algorithm): 1 for a pure tone, about
// 2 / block length for noise. Voice, drills and music spread theirs, or do not hold one frequency for long.

export const BLOCK = 1024;

const LOWEST_HZ = 350;
const HIGHEST_HZ = 4500;
const COARSE_HZ = 20;
const FINE_HZ = 2;
/** Share of the energy at the beep's frequency: while it is learnt, and while it is listened for in a noisy shop. */
const PURE = 0.4;
const HEARD = 0.25;
/** As loud as that share of the beep that was learnt. */
const AS_LOUD = 0.1;
const LEARNT_BLOCKS = 0.6;

/** Share of a block's energy at a frequency, 0 to 1, and the amplitude there. */
export const toneAt = (samples, rate, hz) => {
  const turn = 2 * Math.cos((2 * Math.PI * hz) / rate);
  let before = 0;
  let last = 0;
  let energy = 0;
  for (const sample of samples) {
    const now = sample + turn * last - before;
    before = last;
    last = now;
    energy += sample * sample;
  }
  const power = last * last + before * before - turn * last * before;
  const half = samples.length / 2;
  return { share: energy > 1e-9 ? Math.min(1, power / (half * energy)) : 0, amplitude: Math.sqrt(Math.max(0, power)) / half };
};

const blocks = (samples) => {
  const all = [];
  for (let at = 0; at + BLOCK <= samples.length; at += BLOCK) {
    all.push(samples.subarray(at, at + BLOCK));
  }
  return all;
};

const best = (all, rate, from, to, step) => {
  let found = { hz: 0, share: -1 };
  for (let hz = from; hz <= to; hz += step) {
    const share = all.reduce((sum, block) => sum + toneAt(block, rate, hz).share, 0) / all.length;
    if (share > found.share) {
      found = { hz, share };
    }
  }
  return found;
};

/** The beep in about a second of samples: its frequency and amplitude; null where no steady tone stands out. */
export const learn = (samples, rate) => {
  const all = blocks(samples);
  if (all.length === 0) {
    return null;
  }
  const few = all.filter((_, at) => at % Math.max(1, Math.floor(all.length / 12)) === 0);
  const coarse = best(few, rate, LOWEST_HZ, HIGHEST_HZ, COARSE_HZ);
  const fine = best(few, rate, coarse.hz - COARSE_HZ, coarse.hz + COARSE_HZ, FINE_HZ);
  const heard = all.map((block) => toneAt(block, rate, fine.hz)).filter((each) => each.share > PURE);
  if (heard.length < LEARNT_BLOCKS * all.length) {
    return null;
  }
  heard.sort((one, other) => one.amplitude - other.amplitude);
  return { hz: fine.hz, amplitude: heard[Math.floor(heard.length / 2)].amplitude };
};

/**
 * Listens for a beep that was learnt. Fed with block after block it answers null, or once
 * - "joined": the beep has been there without a break for holdMs, after a quiet moment;
 * - "unsteady": it came and went several times;
 * - "silent": the probes are on (see armed) and nothing was heard for silentMs.
 */
export class BeepListener {
  constructor({ hz, amplitude, rate, block = BLOCK, holdMs = 260, silentMs = 2000 }) {
    Object.assign(this, { hz, amplitude, rate, holdMs, silentMs });
    this.blockMs = (1000 * block) / rate;
    this.again();
  }

  /** A new step: a beep that is still there belongs to the step before, until it was quiet once. */
  again() {
    this.quiet = false;
    this.on = 0;
    this.off = 0;
    this.gap = 0;
    this.starts = [];
    this.waited = -1;
    this.now = 0;
    this.done = false;
  }

  /** The probes are on: from now silence counts. */
  armed() {
    this.waited = 0;
  }

  feed(samples) {
    const { share, amplitude } = toneAt(samples, this.rate, this.hz);
    const tone = share > HEARD && amplitude > AS_LOUD * this.amplitude;
    this.now += this.blockMs;
    if (!tone) {
      return this.#silence();
    }
    this.off = 0;
    this.gap = 0;
    this.waited = this.waited < 0 ? -1 : 0;
    if (!this.quiet || this.done) {
      return null;
    }
    if (this.on === 0) {
      this.starts = [...this.starts.filter((each) => this.now - each < 1500), this.now];
      if (this.starts.length > 2) {
        return this.#end("unsteady");
      }
    }
    this.on += this.blockMs;
    return this.on >= this.holdMs ? this.#end("joined") : null;
  }

  #silence() {
    this.off += this.blockMs;
    this.gap += this.blockMs;
    if (this.gap > this.blockMs * 1.5) {
      this.on = 0; // one block is a click over the tone, two are a break
    }
    this.quiet = this.quiet || this.off >= 150;
    if (this.done || this.waited < 0) {
      return null;
    }
    this.waited += this.blockMs;
    return this.waited >= this.silentMs ? this.#end("silent") : null;
  }

  #end(what) {
    this.done = true;
    return what;
  }
}
