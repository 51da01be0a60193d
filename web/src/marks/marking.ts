import type { MarkGiven, Waiting } from './queue';
import type { MarkingView, Seen } from './queries';

/** What is seen of each grapheme of each child's word: those of the server, with those on their way laid over. */
export type Shown = ReadonlyMap<string, Seen>;

export const slot = (child: string | null, word: string, place: number, skill: 'reading' | 'spelling') =>
  `${child ?? ''}|${word}|${place}|${skill}`;

/** All that was marked of a lesson, as it will be once everything is sent. */
export function shown(view: MarkingView, waiting: readonly Waiting[]): Shown {
  const all = new Map<string, Seen>();
  for (const s of view.seen) all.set(slot(s.childId, s.word, s.place, s.skill), s.seen);
  for (const { lessonId, mark } of waiting) if (lessonId === view.lessonId) lay(all, view, mark);
  return all;
}

function lay(all: Map<string, Seen>, view: MarkingView, mark: MarkGiven) {
  const word = view.words.find((w) => w.word === mark.word);
  if (!word) return;
  const put = (child: string | null, place: number, seen: Seen, skill: 'reading' | 'spelling' = 'spelling') =>
    all.set(slot(child, mark.word, place, skill), seen);
  word.graphemes.forEach((_, place) => {
    if (mark.kind === 'all-right') {
      for (const child of view.children)
        if (!child.isAway && !all.has(slot(child.id, mark.word, place, 'spelling'))) put(child.id, place, 'right');
    } else if (mark.kind === 'group') put(null, place, mark.seen!);
    else if (mark.kind === 'read') put(mark.childId, place, mark.seen!, 'reading');
    else if (mark.kind === 'written') put(mark.childId, place, mark.verdicts?.[place] ?? 'wrong');
    else if (mark.place === place) put(mark.childId, place, mark.kind === 'miss' ? (mark.seen ?? 'wrong') : 'right');
  });
}

/** What was seen of a child's word, grapheme by grapheme; null where nothing was. */
export function ofChild(all: Shown, child: string | null, word: string, graphemes: number): (Seen | null)[] {
  return Array.from({ length: graphemes }, (_, place) => all.get(slot(child, word, place, 'spelling')) ?? null);
}

/** The ticks of a word: one for each grapheme that is right, and in some schools one more for all of it. */
export const ticks = (seen: readonly (Seen | null)[], wordTick: boolean) =>
  seen.filter((s) => s === 'right').length + (wordTick && seen.every((s) => s === 'right') ? 1 : 0);

/** A mark as it is made here and now. */
export function made(
  kind: MarkGiven['kind'],
  word: string,
  more: Partial<Omit<MarkGiven, 'kind' | 'word'>> = {},
): MarkGiven {
  return {
    id: crypto.randomUUID(),
    kind,
    childId: null,
    word,
    place: null,
    seen: null,
    written: null,
    verdicts: null,
    madeAt: new Date().toISOString(),
    ...more,
  };
}
