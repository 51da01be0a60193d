import { describe, expect, it } from 'vitest';
import { exchanged, parts, partWith, pieces, wordAt } from './marks';

const places = [0, 3, 0, 4, 3, 1, 8, 3, 2];

describe('the marks of a text', () => {
  it('stand on its words', () => {
    expect(pieces('The cat sat.', 'The cat sat.', places).map((p) => [p.text, p.word])).toEqual([
      ['The', 0],
      [' ', null],
      ['cat', 1],
      [' ', null],
      ['sat', 2],
      ['.', null],
    ]);
  });

  it('stay on the words before and after what is typed, until it is checked', () => {
    expect(
      pieces('The big cat sat.', 'The cat sat.', places)
        .filter((p) => p.word !== null)
        .map((p) => [p.text, p.start, p.word]),
    ).toEqual([
      ['The', 0, 0],
      ['cat', 8, 1],
      ['sat', 12, 2],
    ]);
  });

  it('join to the text, whatever was typed', () => {
    for (const now of ['', 'x', 'The cat sat', 'The cat sat. And', 'cat sat.', 'The  cat sat.'])
      expect(
        pieces(now, 'The cat sat.', places)
          .map((p) => p.text)
          .join(''),
      ).toBe(now);
  });

  it('find the word at a place', () => {
    const marked = pieces('The cat sat.', 'The cat sat.', places);
    expect(wordAt(marked, 5)?.text).toBe('cat');
    expect(wordAt(marked, 12)).toBeNull();
  });

  it('an exchange leaves the rest', () => expect(exchanged('The cat sat.', 4, 3, 'dog')).toBe('The dog sat.'));

  it('a long text falls into parts that join to it and cut no word', () => {
    for (const text of ['', 'cat', 'The cat sat.\nThe dog ran.\nThey met.', 'x'.repeat(50)]) {
      const all = parts(text, 16);
      expect(all.map((p) => p.text).join('')).toBe(text);
      all.forEach((p) => expect(text.slice(p.start, p.start + p.text.length)).toBe(p.text));
    }
    expect(parts('The cat sat down there.', 10).map((p) => p.text)).toEqual(['The cat ', 'sat down ', 'there.']);
    expect(partWith(parts('The catty cat’s dog sat down.', 14), 'dog')).toBe(1);
    expect(partWith(parts('The dog', 14), 'owl')).toBe(0);
  });
});
