import type { MessageKey } from './en-GB';

/** Where American wording differs; everything else is as in en-GB. */
export const american: Partial<Record<MessageKey, string>> = {
  'part.practise': 'Practice',
  'style.label.practise': 'Practice',
  'style.blending.adjacent-first': 'blends first',
  'pattern.adjacent-start': 'blends at the start',
  'pattern.adjacent-end': 'blends at the end',
  'reason.few-words': 'Only {1, plural, =0 {no words} one {one word} other {# words}} with {0} can be read yet, so practice by ear, by spotting and by forming the letters.',
};
