import type { WordItem, MadeUpItem } from '../../lesson/kinds';
import { Picture } from '../../lesson/Picture';
import { blendSteps } from '../../lesson/said';
import { countOf, text, trickyWay } from '../../text/text';
import { MarkedWord } from '../../words/MarkedWord';
import { shown } from '../../words/spelling';
import { boxesOf, byHeart } from '../steps';
import type { Slide } from '../slides';
import { lengthOf, type Shown } from './shown';

/** A word to read: marks on and off, a pointer that goes from sound to sound and then over the word, its picture last. */
export function WordShown({ item, slide, step, pointer }: Shown & { item: WordItem }) {
  const { kind } = slide.activity;
  const isNew = kind === 'new-tricky-word';
  const parts = slide.points - 1;
  const said = step > 0 ? stepsSaid(item, kind) : '';
  return (
    <span className="board-stack">
      <span className={`${lengthOf(shown(item.word))}${pointer > parts ? ' board-swept' : ''}`}>
        <MarkedWord
          word={item.word}
          marks={item.marks}
          tricky={isNew && step === 0 ? [] : item.tricky}
          chunks={item.chunks ?? []}
          hideMarks={step === 0 && pointer === 0}
          pointed={pointer > 0 && pointer <= parts ? pointer - 1 : undefined}
        />
      </span>
      {said && <span className="board-steps literacy">{said}</span>}
      {item.picture && step > 1 && <Picture name={item.picture} size={220} />}
    </span>
  );
}

/** A made-up word to read. */
export function MadeUpShown({ item, slide, step, pointer }: Shown & { item: MadeUpItem }) {
  const parts = slide.points - 1;
  return (
    <span className={`board-word literacy board-length-short${pointer > parts ? ' board-swept' : ''}`}>
      <MarkedWord
        word={item.word}
        marks={item.marks}
        hideMarks={step === 0 && pointer === 0}
        pointed={pointer > 0 && pointer <= parts ? pointer - 1 : undefined}
      />
    </span>
  );
}

/**
 * A word that children write: they hear and count first, for boxes would give it away; then the number and its boxes,
 * then what belongs in each, one by one, then a tick for each.
 */
export function WrittenShown({ item, slide, step }: Shown & { item: WordItem | MadeUpItem }) {
  if (step === 0) return <span className="board-count fw-bold">{text('board.countFirst')}</span>;
  const boxes = boxesOf(item);
  // The school's way of counting; a word learnt by heart is counted by its letters.
  const isByHeart = item.$type === 'word' && byHeart(item);
  const count = isByHeart ? boxes.length : countOf(item);
  const hasTwo = (part: number) =>
    !isByHeart && count > item.taps && (item.phonemes.split('|')[part]?.includes('+') ?? false);
  const isName = slide.activity.kind === 'dictate-name';
  const picture = item.$type === 'word' ? item.picture : null;
  return (
    <span className="board-stack">
      <span
        className={`board-boxes literacy${count > 6 ? ' board-boxes-many' : ''}`}
        role="img"
        aria-label={text('board.boxes', { count })}
      >
        {boxes.map((box, i) => (
          <span
            key={i}
            className={[
              box.isTail ? 'board-tail' : 'board-box',
              hasTwo(box.part) && 'board-box-two',
              item.$type === 'word' && item.tricky.includes(box.part) && step > box.part + 1 && 'board-box-tricky',
            ]
              .filter(Boolean)
              .join(' ')}
          >
            {step > box.part + 1 && (
              <span>
                {isName && i === 0
                  ? box.letters[0]!.toUpperCase() + box.letters.slice(1)
                  : shownIn(item.word, box.letters)}
              </span>
            )}
            {step >= slide.steps && !box.isTail && <span className="board-tick">✓</span>}
          </span>
        ))}
      </span>
      {step === 1 && <span className="board-number fw-bold">{count}</span>}
      {picture && step >= slide.steps && <Picture name={picture} size={160} />}
    </span>
  );
}

const shownIn = (word: string, letters: string) => (word === 'i' ? shown(word) : letters);

/** What is said step by step once a word is revealed: how it is blended, or the letters of one learnt by heart. */
function stepsSaid(item: WordItem, kind: Slide['activity']['kind']): string {
  if (kind === 'read-words') return blendSteps(item);
  return item.tricky.length > 0 && item.word.length > 1 && trickyWay() === 'by-heart'
    ? [...shown(item.word)].join(' · ')
    : '';
}
