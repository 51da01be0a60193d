import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { ItemShown } from './ItemShown';
import type { ActivityKind, Item } from './kinds';
import { VerdictLine } from './VerdictLine';

afterEach(cleanup);

const textOf = (item: Item, kind: ActivityKind = 'read-words', print = false) =>
  render(<ItemShown item={item} kind={kind} print={print} />).container.textContent ?? '';

describe('an item of a lesson', () => {
  it('shows a grapheme, or how the mouth makes its sound', () => {
    const card: Item = {
      $type: 'card',
      id: 'c',
      kept: false,
      correspondence: 'sh=ʃ',
      grapheme: 'sh',
      sounds: 'ʃ',
      keyWord: 'shell',
      canBeHeld: true,
      kind: 'digraph',
      letterNames: ['s', 'h'],
      positions: null,
      reasons: [],
    };
    expect(textOf(card, 'grapheme-cards')).toBe('sh/ʃ/ shell');
    cleanup();
    const two = { correspondence: 'sh=x', sounds: 'x', keyWord: 'loch', example: 'lash' };
    expect(textOf({ ...card, example: 'ship', also: [two] }, 'grapheme-cards')).toBe('sh/ʃ/ ship/x/ lash');
    cleanup();
    expect(textOf(card, 'spot-grapheme')).toBe('sh');
    cleanup();
    expect(textOf(card, 'mouth-cue')).toContain('Lips round and forward');
  });

  it('hides the marks of words read at speed and flags a near miss for the adult', () => {
    const word: Item = {
      $type: 'word',
      id: 'w',
      kept: false,
      word: 'ship',
      graphemes: 'sh|i|p',
      phonemes: 'ʃ|ɪ|p',
      marks: [0, 0, 1, 2],
      taps: 3,
      tricky: [],
      oral: false,
      reasons: [{ code: 'near-miss', arguments: [] }],
    };
    const { container } = render(<ItemShown item={word} kind="read-at-speed" />);
    expect(container.querySelector('[data-shown="off"]')).not.toBeNull();
    expect(container.textContent).toContain('a near miss');
  });

  it('says a riddle with its answer', () => {
    expect(
      textOf({ $type: 'clue', id: 'q', kept: false, word: 'bat', clue: 'it hangs upside down', reasons: [] }, 'clues'),
    ).toBe('It hangs upside down? bat');
  });

  it('puts today’s spelling first among those of a sound', () => {
    const cards = ['a-e', 'ai'].map((grapheme) => ({
      correspondence: `${grapheme}=eɪ`,
      grapheme,
      sounds: 'eɪ',
      keyWord: 'rain',
      example: null,
    }));
    const { container } = render(
      <ItemShown item={{ $type: 'beside', id: 'b', kept: false, bySound: true, cards }} kind="set-beside" />,
    );
    expect(container.querySelector('.beside-today')?.textContent).toContain('a-e');
    expect(container.textContent).toContain('Today we write it this way.');
  });

  it('offers the spellings to choose from, and on paper leaves the gap', () => {
    const said = textOf(
      {
        $type: 'choice',
        id: 'c',
        kept: false,
        word: 'day',
        graphemes: 'd|ay',
        marks: [0, 1, 1],
        gap: 1,
        options: ['ai', 'ay'],
        reasons: [],
      },
      'choose-spelling',
      true,
    );
    expect(said).toContain('ai or ay');
    expect(said).toContain('gap');
  });

  it('sorts words under their headings', () => {
    const item: Item = {
      $type: 'sort',
      id: 's',
      kept: false,
      by: 'position',
      headings: ['start', 'end'],
      words: [
        { word: 'ship', marks: [0, 0, 1, 2], heading: 0 },
        { word: 'fish', marks: [0, 1, 2, 2], heading: 1 },
      ],
    };
    const { container } = render(<ItemShown item={item} kind="sort-words" />);
    const columns = [...container.querySelectorAll('.sorted > span:not(.quiet)')].map((c) => c.textContent);
    expect(columns[0]).toMatch(/^start.*ship/);
    expect(columns[1]).toMatch(/^end.*fish/);
  });

  it('gives a picture a name only the adult’s page tells', () => {
    render(
      <ItemShown
        item={{
          $type: 'picture',
          id: 'p',
          kept: false,
          picture: '1F31F',
          word: 'star',
          marks: [],
          options: ['star', 'shark'],
          reasons: [],
        }}
        kind="picture-to-word"
      />,
    );
    expect(screen.getByRole('img', { name: 'Picture of star' }).getAttribute('src')).toBe('/pictures/1F31F.svg');
  });

  it('shows a text with its questions and a sentence with its gap', () => {
    expect(
      textOf(
        { $type: 'text', id: 't', kept: false, title: 'The hen', sentences: [], questions: ['Who ran?'], reasons: [] },
        'read-text',
      ),
    ).toContain('Ask: Who ran?');
    cleanup();
    expect(
      textOf(
        {
          $type: 'missing-word',
          id: 'm',
          kept: false,
          before: 'The',
          after: ' ran.',
          word: 'hen',
          options: ['hen', 'red'],
          reasons: [],
        },
        'fill-gap',
      ),
    ).toBe('The ____ ran. hen · red');
  });

  it('draws a crossword with its numbers, and its letters only on the screen', () => {
    const item: Item = {
      $type: 'crossword',
      id: 'x',
      kept: false,
      width: 3,
      height: 1,
      lines: [{ number: 1, across: true, row: 0, column: 0, word: 'cat', picture: null, clue: 'a ____ nap' }],
    };
    expect(textOf(item, 'crossword')).toContain('1cat');
    cleanup();
    const onPaper = textOf(item, 'crossword', true);
    expect(onPaper).not.toContain('cat');
    expect(onPaper).toContain('a ____ nap');
  });

  it('names the examples of an ending by its sounds, the words of a line, the pieces of a word', () => {
    expect(
      textOf(
        {
          $type: 'pattern',
          id: 'p',
          kept: false,
          pattern: 'suffix-s',
          examples: [{ sounds: 'z', words: ['dogs', 'hens'] }],
        },
        'new-suffix',
      ),
    ).toContain('/z/dogs, hens');
    cleanup();
    const model = { word: 'hopping', parts: ['hop', 'ing'], join: 'double', marked: 1 };
    expect(
      textOf(
        {
          $type: 'pattern',
          id: 'p',
          kept: false,
          pattern: 'suffix-ing',
          examples: [{ sounds: 'ɪ+ŋ', words: ['hopping'], models: [model] }],
        },
        'new-suffix',
      ),
    ).toContain('hop + ing = hopping the last letter doubles');
    cleanup();
    expect(
      textOf(
        { $type: 'syllables', id: 's', kept: false, word: 'rabbit', syllables: ['rab', 'bit'], reasons: [] },
        'cut-syllables',
      ),
    ).toBe('rab·bit');
    cleanup();
    expect(
      textOf({ $type: 'prompt', id: 'o', kept: false, code: 'own-sentence', words: ['said', 'ship'] }, 'own-sentence'),
    ).toContain('Words to use: said, ship');
  });
});

describe('a verdict', () => {
  const verdict = {
    written: 'ship',
    status: 'not-yet' as const,
    graphemes: 'sh|i|p',
    phonemes: 'ʃ|ɪ|p',
    readable: null,
    twin: null,
  };

  it('says what a word needs and from which day', () => {
    const { container } = render(
      <VerdictLine verdict={{ ...verdict, needs: [{ what: 'sh=ʃ', when: { rung: 'sh', date: '2026-12-01' } }] }} />,
    );
    expect(container.textContent).toBe('ship not yet: needs sh /ʃ/, from Tuesday 1 December');
  });

  it('says when a ladder never teaches it, and when no day is left', () => {
    const never = render(<VerdictLine verdict={{ ...verdict, needs: [{ what: 'sh=ʃ', when: null }] }} />);
    expect(never.container.textContent).toContain('never on this ladder');
    const late = render(
      <VerdictLine verdict={{ ...verdict, needs: [{ what: 'sh=ʃ', when: { rung: 'sh', date: null } }] }} />,
    );
    expect(late.container.textContent).toContain('no day left for it');
  });

  it('warns of a word that sounds the same, and names a group instead of the word', () => {
    const { container } = render(
      <VerdictLine
        name="Otters"
        verdict={{ ...verdict, written: 'sea', status: 'decodable', needs: [], twin: 'see' }}
      />,
    );
    expect(container.textContent).toBe('Otters can be read · sounds like see');
  });
});
