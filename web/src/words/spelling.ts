/**
 * A run of letters that belong to one grapheme, in the order of the word. A split digraph makes two runs with the same
 * part.
 */
export interface Run {
  letters: string;
  part: number;
  /** True for both runs of a split digraph. */
  split: boolean;
}

/** Cuts a word into runs by the grapheme each letter belongs to. */
export function runsOf(word: string, marks: readonly number[]): Run[] {
  const runs: Run[] = [];
  [...word].forEach((letter, i) => {
    const part = marks[i] ?? i;
    const last = runs[runs.length - 1];
    if (last && last.part === part) last.letters += letter;
    else runs.push({ letters: letter, part, split: false });
  });
  for (const run of runs) run.split = runs.filter((r) => r.part === run.part).length > 1;
  return runs;
}

/** A word as children see it: the pronoun I has its capital. */
export function shown(word: string): string {
  return word === 'i' ? 'I' : word;
}
