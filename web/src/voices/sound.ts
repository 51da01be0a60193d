/** A recording as numbers from -1 to 1, one channel. */
export interface Sound {
  samples: Float32Array;
  /** Samples a second. */
  rate: number;
}

/** Recordings are kept at this rate: speech needs no more. */
export const RATE = 22_050;

/** No recording is longer, in seconds. */
export const LONGEST = 4;

/** So much is left before and after what is heard, in seconds. */
const MARGIN = 0.06;

/** A window over which loudness is looked at, in seconds. */
const WINDOW = 0.01;

/** Quieter than this share of the loudest window is silence. */
const SILENCE = 0.12;

/** Where nothing is louder than this, nothing was said. */
const NOTHING = 0.004;

/** The loudest that a kept recording gets. */
const FULL = 0.89;

/** What was said, without the silence before and after, at an even level; null where nothing was said. */
export function tidied(sound: Sound): Sound | null {
  const window = Math.max(1, Math.round(sound.rate * WINDOW));
  const loud: number[] = [];
  for (let at = 0; at < sound.samples.length; at += window) {
    let sum = 0;
    const end = Math.min(sound.samples.length, at + window);
    for (let i = at; i < end; i++) sum += sound.samples[i]! ** 2;
    loud.push(Math.sqrt(sum / (end - at)));
  }
  const loudest = Math.max(...loud, 0);
  if (loudest < NOTHING) return null;
  const isHeard = (level: number) => level > loudest * SILENCE;
  const margin = Math.round(sound.rate * MARGIN);
  const first = Math.max(0, loud.findIndex(isHeard) * window - margin);
  const last = loud.length - [...loud].reverse().findIndex(isHeard);
  const end = Math.min(sound.samples.length, last * window + margin, first + LONGEST * sound.rate);
  const cut = sound.samples.slice(first, end);
  const peak = cut.reduce((most, s) => Math.max(most, Math.abs(s)), 0);
  return { samples: cut.map((s) => (s * FULL) / peak), rate: sound.rate };
}

/** The same at another rate. */
export function resampled({ samples, rate }: Sound, to: number): Sound {
  const length = Math.floor((samples.length * to) / rate);
  const made = new Float32Array(length);
  for (let i = 0; i < length; i++) {
    const at = (i * rate) / to;
    const left = Math.floor(at);
    const share = at - left;
    made[i] = samples[left]! * (1 - share) + (samples[left + 1] ?? samples[left]!) * share;
  }
  return { samples: made, rate: to };
}

/** A WAVE file: one channel, 16 bits. */
export function wavOf({ samples, rate }: Sound): ArrayBuffer {
  const file = new DataView(new ArrayBuffer(44 + samples.length * 2));
  const write = (at: number, letters: string) => [...letters].forEach((l, i) => file.setUint8(at + i, l.charCodeAt(0)));
  write(0, 'RIFF');
  file.setUint32(4, 36 + samples.length * 2, true);
  write(8, 'WAVEfmt ');
  file.setUint32(16, 16, true);
  file.setUint16(20, 1, true);
  file.setUint16(22, 1, true);
  file.setUint32(24, rate, true);
  file.setUint32(28, rate * 2, true);
  file.setUint16(32, 2, true);
  file.setUint16(34, 16, true);
  write(36, 'data');
  file.setUint32(40, samples.length * 2, true);
  samples.forEach((s, i) => file.setInt16(44 + i * 2, Math.max(-1, Math.min(1, s)) * 0x7fff, true));
  return file.buffer as ArrayBuffer;
}
