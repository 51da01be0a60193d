import { reasonText } from '../text/text';

const FLAGS = [
  'near-miss',
  'has-not',
  'another-job',
  'not-here',
  'has-sound',
  'first-and-rest',
  'starts-and-ends',
  'at-start',
  'at-middle',
  'at-end',
  'show-it',
  'stay-still',
];

/** What the adult must know of a word at a glance: a near miss, the same letters with another job. */
export function flagOf(reasons: readonly { code: string; arguments: readonly string[] }[]): string {
  const flag = reasons.find((r) => FLAGS.includes(r.code));
  return flag ? reasonText({ code: flag.code, arguments: [...flag.arguments] }) : '';
}

/** The rules that a teacher's own sentence goes against. */
export const againstText = (reasons: readonly { code: string; arguments: readonly string[] }[]) =>
  reasons
    .filter((r) => r.code.startsWith('rule-') || r.code === 'told-by-adult')
    .map((r) => reasonText({ code: r.code, arguments: [...r.arguments] }))
    .join(' · ');
