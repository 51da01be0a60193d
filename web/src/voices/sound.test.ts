import { describe, expect, it } from 'vitest';
import { resampled, tidied, wavOf } from './sound';

const RATE = 8000;

/** Silence, a tone of so many seconds, silence. */
function tone(before: number, seconds: number, after: number, level = 0.2) {
  const samples = new Float32Array((before + seconds + after) * RATE);
  for (let i = 0; i < seconds * RATE; i++) samples[before * RATE + i] = level * Math.sin(i / 3);
  return { samples, rate: RATE };
}

describe('a recording', () => {
  it('loses its silence and comes to an even level', () => {
    const made = tidied(tone(1, 0.5, 1))!;
    expect(made.samples.length / RATE).toBeGreaterThan(0.5);
    expect(made.samples.length / RATE).toBeLessThan(0.7);
    const peak = (s: Float32Array) => s.reduce((m, x) => Math.max(m, Math.abs(x)), 0);
    expect(peak(made.samples)).toBeCloseTo(0.89, 2);
    expect(peak(tidied(tone(0, 0.5, 0, 0.9))!.samples)).toBeCloseTo(0.89, 2);
  });
  it('is none where nothing was said, and never too long', () => {
    expect(tidied(tone(1, 0.5, 0, 0.001))).toBeNull();
    expect(tidied({ samples: new Float32Array(0), rate: RATE })).toBeNull();
    expect(tidied(tone(0, 9, 0))!.samples.length).toBe(4 * RATE);
  });
  it('keeps its length at another rate', () => {
    const made = resampled(tone(0, 1, 0), 4000);
    expect([made.rate, made.samples.length]).toEqual([4000, 4000]);
  });
  it('is written as a plain WAVE file', () => {
    const file = wavOf({ samples: Float32Array.of(0, 1, -1), rate: RATE });
    const view = new DataView(file);
    expect(new TextDecoder().decode(file.slice(0, 4))).toBe('RIFF');
    expect([view.getUint32(24, true), view.getUint32(40, true), file.byteLength]).toEqual([RATE, 6, 50]);
    expect([view.getInt16(44, true), view.getInt16(46, true), view.getInt16(48, true)]).toEqual([0, 32767, -32767]);
  });
});
