import { describe, expect, it } from 'vitest';
import { shippedFacts } from '../facts/shipped';
import { messages } from './en-GB';
import { reasonText, textOf } from './text';

/** Every activity the engine knows. */
const kinds = shippedFacts.activities.map((a) => a.kind);

describe('the words for lessons', () => {
  it.each(kinds)('name %s and say what to say in it', (kind) => {
    expect(messages).toHaveProperty([`activity.${kind}`]);
    expect(messages).toHaveProperty([`say.${kind}`]);
  });

  it('say how each of the 44 sounds is made, and never with an added uh', () => {
    const cues = Object.entries(messages).filter(([key]) => key.startsWith('mouth.'));
    expect(cues).toHaveLength(44);
    for (const [, cue] of cues) expect(cue).not.toMatch(/\buh\b/);
  });

  it('tell what came instead of an activity with too few words, or that it was left out', () => {
    expect(reasonText({ code: 'too-few-for', arguments: ['read-sentence', 'oral-sentence'] })).toBe(
      'Too few words for “Read it together” today: “Say a sentence with” came instead.',
    );
    expect(reasonText({ code: 'too-few-for', arguments: ['read-text', 'read-sentence'] })).toBe(
      'No text fits this day and its minutes: “Read it together” came instead.',
    );
    expect(reasonText({ code: 'too-few-for', arguments: ['spell-words'] })).toBe(
      'Too few words for “Spell words” today: it was left out.',
    );
  });

  it('have every prompt of a story', () => {
    for (let n = 1; n <= 6; n++) expect(textOf('prompt', `story-${n}`)).not.toBe(`story-${n}`);
  });
});
