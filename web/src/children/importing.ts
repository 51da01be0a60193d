import type { Schemas } from '../api/client';

export type Preview = Schemas['ImportPreview'];
export type Line = Schemas['ImportLine'];
export type Choice = Schemas['ImportChoice'];

/** Lines that could mean two things. */
export const isAsked = (line: Line) => line.state === 'here' || line.state === 'elsewhere' || line.state === 'twice';

/** What can be chosen for a line that is asked about, the likelier first. */
export const choicesOf = (line: Line): readonly Choice[] =>
  line.state === 'elsewhere' ? ['move', 'skip', 'add'] : ['skip', 'add'];

/** How many come in, move, are left out. */
export function countsOf(lines: readonly Line[], chosen: ReadonlyMap<number, Choice>) {
  const counts = { add: 0, move: 0, skip: 0 };
  for (const line of lines) counts[chosen.get(line.line) ?? line.usual] += 1;
  return counts;
}
