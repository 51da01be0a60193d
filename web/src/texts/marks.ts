import type { TextView } from './queries';

/** A piece of a text as it is shown: plain, or a word with its place among the different words. */
export interface Piece {
  text: string;
  start: number;
  word: number | null;
}

/**
 * The pieces of a text as it is now, marked by a check of it as it was: where something was typed since, the words before
 * and after keep their marks and what was typed has none yet.
 */
export function pieces(now: string, checked: string, places: TextView['places']): Piece[] {
  let same = 0;
  while (same < now.length && same < checked.length && now[same] === checked[same]) same++;
  let tail = 0;
  while (tail < now.length - same && tail < checked.length - same && now.at(-1 - tail) === checked.at(-1 - tail))
    tail++;
  const shift = now.length - checked.length;
  const found: Piece[] = [];
  let at = 0;
  for (let i = 0; i < places.length; i += 3) {
    const [start, length, word] = [places[i]!, places[i + 1]!, places[i + 2]!];
    const isBefore = start + length <= same;
    if (!isBefore && start < checked.length - tail) continue;
    const from = isBefore ? start : start + shift;
    if (from < at) continue;
    if (from > at) found.push({ text: now.slice(at, from), start: at, word: null });
    found.push({ text: now.slice(from, from + length), start: from, word });
    at = from + length;
  }
  if (at < now.length) found.push({ text: now.slice(at), start: at, word: null });
  return found;
}

/** The marked word at a place of the text; null where there is none. */
export function wordAt(marked: readonly Piece[], at: number): Piece | null {
  return marked.find((p) => p.word !== null && p.start <= at && at <= p.start + p.text.length) ?? null;
}

/** The text with so many signs from a start exchanged. */
export const exchanged = (text: string, start: number, length: number, by: string) =>
  text.slice(0, start) + by + text.slice(start + length);

/** A part of a text: where it starts and what it is. */
export interface Part {
  start: number;
  text: string;
}

/** A long text in parts of about so many signs, each ending with a line or at least with a word. */
export function parts(text: string, most: number): Part[] {
  const found: Part[] = [];
  for (let start = 0; start < text.length || found.length === 0;) {
    const full = text.slice(start, start + most);
    const line = full.lastIndexOf('\n') + 1;
    const word = full.lastIndexOf(' ') + 1;
    const length = start + most >= text.length ? full.length : line > most / 2 ? line : word || full.length;
    found.push({ start, text: full.slice(0, length) });
    start += length;
    if (length === 0) break;
  }
  return found;
}

/** The part in which a word stands first; 0 for none. */
export function partWith(all: readonly Part[], word: string): number {
  const found = new RegExp(`(?<![\\p{L}'’])${word.replace(/[^\p{L}\p{N}]/gu, '\\$&')}(?![\\p{L}])`, 'u');
  return Math.max(
    0,
    all.findIndex((p) => found.test(p.text)),
  );
}
