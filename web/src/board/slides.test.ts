import { describe, expect, it } from 'vitest';
import { shippedFacts } from '../facts/shipped';
import type { Activity, LessonView, WordItem } from '../lesson/kinds';
import { canList, picturesOf, revealed, shuffledItems, slidesOf } from './slides';
import { neededOf } from './voices';

const word = (spelling: string, oral = false): WordItem => ({
  $type: 'word',
  id: `read:${spelling}`,
  kept: false,
  word: spelling,
  graphemes: '',
  phonemes: '',
  marks: [],
  taps: 3,
  tricky: [],
  oral,
  reasons: [],
});

const activity = (id: string, items: Activity['items']): Activity => ({
  id,
  kind: 'read-words',
  response: 'say-together',
  seconds: 60,
  items,
  steps: null,
  levels: null,
  setByHand: false,
});

const lesson = {
  parts: [
    { kind: 'revisit', activities: [activity('oral', [word('fish', true), word('moon', true)])] },
    { kind: 'practise', activities: [activity('read', [word('sheep'), word('tree'), word('feet')])] },
  ],
} as unknown as LessonView['lesson'];

describe('slidesOf', () => {
  it('shows one thing at a time, each activity named first', () => {
    expect(slidesOf(lesson, shippedFacts).map((s) => (s.item ? s.item.id : s.activity.id))).toEqual([
      'oral',
      'read',
      'read:sheep',
      'read:tree',
      'read:feet',
    ]);
  });

  it('never shows print that only the adult says', () => {
    expect(slidesOf(lesson, shippedFacts).some((s) => s.item?.id === 'read:fish')).toBe(false);
  });
});

describe('what is said of a lesson', () => {
  it('is the same for another copy of it, so that nothing is asked for again', () => {
    const read = { ...word('fish'), phonemes: 'f|ɪ|ʃ' };
    const said = { parts: [{ kind: 'practise', activities: [activity('read', [read])] }] } as never;
    expect(neededOf(said)).toBe(['sound f', 'sound ɪ', 'sound ʃ', 'key-word null'].join('\n'));
    expect(neededOf(structuredClone(said))).toBe(neededOf(said));
  });
});

describe('shuffledItems', () => {
  it('keeps the items of the activity and changes the first', () => {
    const slides = slidesOf(lesson, shippedFacts);
    for (const draw of [0, 0.3, 0.6, 0.99]) {
      const after = shuffledItems(slides, 'read', () => draw);
      expect([...after].sort()).toEqual(['read:feet', 'read:sheep', 'read:tree']);
      expect(after[0]).not.toBe('read:sheep');
    }
  });
});

describe('what is hidden at first', () => {
  const word = {
    $type: 'word' as const,
    id: 'w',
    kept: false,
    word: 'cake',
    graphemes: 'c|a-e|k',
    phonemes: 'k|eɪ|k',
    marks: [0, 1, 2, 1],
    taps: 3,
    tricky: [],
    oral: false,
    reasons: [],
  };
  const hidden = (item: Activity['items'][number] | null, kind: Activity['kind'] = 'read-words', at = 1) => {
    const { steps, points, asks } = revealed(item, { ...activity('x', []), kind }, at, shippedFacts);
    return { steps, points, asks };
  };

  it('of a word that is read its marks, then its picture; the pointer goes over its sounds and then the word', () => {
    expect(hidden(word)).toEqual({ steps: 1, points: 4, asks: false });
    expect(hidden({ ...word, picture: '1F370' })).toEqual({ steps: 2, points: 4, asks: false });
  });
  it('of a word that is written how many sounds it has, each of them, and the ticks', () => {
    expect(hidden(word, 'spell-words')).toEqual({ steps: 5, points: 0, asks: true });
  });
  it('of a word in a chain which place changes, then the word; the first only begins it', () => {
    expect(hidden(word, 'word-chain', 1).asks).toBe(false);
    expect(hidden(word, 'word-chain', 2)).toEqual({ steps: 2, points: 0, asks: true });
  });
  it('is the gap of a word, and each spelling of a sound', () => {
    const gap = { $type: 'gap' as const, id: 'g', kept: false, word: 'rain', graphemes: 'r|ai|n', reasons: [] };
    expect(hidden({ ...gap, marks: [0, 1, 1, 2], gap: 1 })).toEqual({ steps: 1, points: 0, asks: true });
    const spellings = { $type: 'spellings' as const, id: 's', kept: false, sounds: 's', keyWord: 'sock' };
    expect(hidden({ ...spellings, graphemes: ['s', 'ss'], correspondences: ['s=s', 'ss=s'] }).steps).toBe(2);
  });
  it('is each word of a scene, and the picture of a phrase that has one', () => {
    const thing = { picture: '1F431', marks: [0, 1, 2], upper: false, size: 'small' as const };
    const things = ['cat', 'sun', 'dog'].map((name) => ({ ...thing, word: name }));
    const scene = { $type: 'scene' as const, id: 's', kept: false, backdrop: 'backdrop-pond', things, reasons: [] };
    expect(hidden(scene, 'picture-scene')).toEqual({ steps: 3, points: 0, asks: true });
    const card = { $type: 'card' as const, own: { phrase: 'chop the chips', picture: null } };
    expect(hidden(card as never, 'memory-phrase').asks).toBe(false);
    const pictured = { ...card, own: { ...card.own, picture: '1F35F' } };
    expect(hidden(pictured as never, 'memory-phrase')).toEqual({ steps: 1, points: 0, asks: true });
    const all = { parts: [{ activities: [{ items: [scene, pictured, { ...scene, backdrop: '' }] }] }] };
    expect(picturesOf(all as never)).toEqual(['backdrop-pond', '1F431', '1F35F']);
  });
  it('is nothing on the slide that names an activity, and the word on how a pattern is built', () => {
    expect(hidden(null)).toEqual({ steps: 0, points: 0, asks: false });
    expect(hidden({ $type: 'pattern', id: 'p', kept: false, pattern: 'suffix-s' }).steps).toBe(1);
  });
  it('of a text its further pages, and what was found on each where it is hunted through', () => {
    const said = (text: string, isTarget?: boolean) => ({
      ...{ $type: 'sentence' as const, id: 's', kept: false, text, reasons: [] },
      words: [{ text, status: 'decodable', hunt: isTarget === undefined ? null : [{ letters: [0], isTarget }] }],
    });
    const text = { $type: 'text' as const, id: 't', kept: false, title: 'T', questions: [], reasons: [] };
    const long = 'a'.repeat(120);
    const sentences = [said(long), said(long), said('b')];
    expect(hidden({ ...text, sentences }, 'read-text')).toEqual({ steps: 1, points: 3, asks: true });
    expect(hidden({ ...text, sentences: [...sentences, said('ow', true)] }, 'hunt-text').steps).toBe(3);
  });
  it('can be a list of words where they are read, not where they are written', () => {
    const of = (kind: Activity['kind']) => canList({ ...activity('x', []), kind, items: [word, word] });
    expect([of('read-words'), of('spell-words'), of('word-chain')]).toEqual([true, false, false]);
  });
});
