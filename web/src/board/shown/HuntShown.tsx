import type { Schemas } from '../../api/client';
import type { HuntItem, WordItem } from '../../lesson/kinds';
import { text } from '../../text/text';
import { toggled, type Shown } from './shown';

type Place = Schemas['HuntedPlace'];

interface Hunted {
  printed: string;
  /** Where what is hunted, or what looks like it, stands in the word; nothing where there is no hunt. */
  places: readonly Place[] | null | undefined;
  /** Which word it is. */
  at: string;
  isRevealed: boolean;
  put: readonly string[];
  onPut: (what: readonly string[]) => void;
}

/**
 * A word that is hunted through: touched, it lights up the letters that do what is hunted; the same letters with
 * another job are told from them, and a word that has neither says so.
 */
export function HuntedText({ printed, places, at, isRevealed, put, onPut }: Hunted) {
  if (!places) return <>{printed}</>;
  const isTouched = put.includes(at);
  const isLit = isTouched || isRevealed;
  const placeOf = (i: number) => (isLit ? places.findIndex((p) => p.letters.includes(i)) : -1);
  const runs: { letters: string; place: number }[] = [];
  [...printed].forEach((letter, i) => {
    const last = runs[runs.length - 1];
    if (last && last.place === placeOf(i)) last.letters += letter;
    else runs.push({ letters: letter, place: placeOf(i) });
  });
  const isOther = isLit && places.length > 0 && !places.some((p) => p.isTarget);
  return (
    <button
      type="button"
      className="board-touch border-0 bg-transparent p-0 text-reset"
      aria-pressed={isTouched}
      onClick={() => onPut(toggled(put, at))}
    >
      {runs.map((run, i) => {
        const place = places[run.place];
        return (
          <span key={i} className={place ? (place.isTarget ? 'board-found' : 'board-alike') : undefined}>
            {run.letters}
          </span>
        );
      })}
      {isOther && <span className="visually-hidden">{text('board.otherJob')}</span>}
      {isTouched && places.length === 0 && <span className="visually-hidden">{text('board.notThere')}</span>}
    </button>
  );
}

/** How many of what is hunted were found, and what the look of a look-alike means once there is one. */
export function HuntCount({
  all,
  isRevealed,
  put,
}: {
  all: ReadonlyMap<string, readonly Place[]>;
  isRevealed: boolean;
  put: readonly string[];
}) {
  const has = (at: string) => all.get(at)?.some((p) => p.isTarget) ?? false;
  const total = [...all.keys()].filter(has).length;
  const isAlikeShown = [...all].some(
    ([at, places]) => (isRevealed || put.includes(at)) && places.some((p) => !p.isTarget),
  );
  return (
    <span className="board-aside d-flex gap-4 justify-content-center">
      <span>{text('board.found', { found: isRevealed ? total : put.filter(has).length, total })}</span>
      {isAlikeShown && <span className="board-alike">{text('board.otherJob')}</span>}
    </span>
  );
}

/** Many words on a page, through which graphemes are hunted. */
export function HuntShown({ item, step, put, onPut }: Shown & { item: HuntItem }) {
  const all = new Map(item.words.map((w, i) => [`${i}`, w.hunt ?? []]));
  return (
    <span className="board-stack literacy">
      <strong className="board-hunted">{item.graphemes.join('   ')}</strong>
      <span className="board-hunt d-flex flex-wrap justify-content-center">
        {item.words.map((w, i) => (
          <HuntedText
            key={w.word}
            printed={w.word}
            places={w.hunt ?? []}
            at={`${i}`}
            isRevealed={step > 0}
            put={put}
            onPut={onPut}
          />
        ))}
      </span>
      <HuntCount all={all} isRevealed={step > 0} put={put} />
    </span>
  );
}

/** A word in which today's letters are found. */
export function FoundWord({ item, step, put, onPut }: Shown & { item: WordItem }) {
  return (
    <span className={`board-word literacy board-length-${item.word.length > 7 ? 'long' : 'short'}`}>
      <HuntedText printed={item.word} places={item.hunt ?? []} at="0" isRevealed={step > 0} put={put} onPut={onPut} />
    </span>
  );
}
