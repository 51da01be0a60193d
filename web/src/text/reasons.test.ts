import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { messages } from './en-GB';
import { reasonText, textOf } from './text';

/** Every activity the engine knows, as the generated types list them. */
const kinds = [
  ...['grapheme-cards', 'last-miss', 'sound-to-spellings', 'oral-blending', 'oral-segmenting', 'clues', 'recent-words', 'tricky-so-far'],
  ...[
    'hear-sound',
    'new-correspondence',
    'where-it-stands',
    'mouth-cue',
    'memory-phrase',
    'formation',
    'spot-grapheme',
    'set-beside',
    'new-tricky-word',
    'new-pattern',
    'new-suffix',
    'cut-syllables',
  ],
  ...[
    'read-words',
    'read-unmarked',
    'read-at-speed',
    'read-aided-unaided',
    'made-up-words',
    'word-chain',
    'word-lines',
    'spell-words',
    'missing-grapheme',
    'choose-spelling',
    'sort-words',
    'has-sound',
  ],
  ...['find-in-words', 'hunt-page', 'picture-to-word', 'label-picture'],
  ...['read-sentence', 'oral-sentence', 'phrase-to-picture', 'dictate-sentence', 'own-sentence', 'read-text', 'crossword', 'fill-gap', 'story-prompt'],
] as Schemas['ActivityKind'][];

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
    expect(reasonText({ code: 'too-few-for', arguments: ['spell-words'] })).toBe('Too few words for “Spell words” today: it was left out.');
  });

  it('have every prompt of a story', () => {
    for (let n = 1; n <= 6; n++) expect(textOf('prompt', `story-${n}`)).not.toBe(`story-${n}`);
  });
});
