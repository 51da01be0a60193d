import type { Schemas } from '../api/client';
import { shown } from '../words/spelling';
import { shortDayText, teachingText, text, textOf } from '../text/text';

/** What a target is called: a grapheme with its sound, a tricky word. */
export function targetText(target: string): string {
  const [kind, id] = target.includes(':') && !target.includes('=') ? target.split(':', 2) : ['', target];
  if (kind === 'tricky') return text('memory.tricky', { word: shown(id!) });
  return teachingText(id!);
}

/** A target without its sound, a tricky word alone: for where many stand side by side. */
export const lettersText = (target: string) =>
  target.includes('=') ? target.split('=')[0]! : shown(target.slice(target.indexOf(':') + 1));

export function whyText(why: Schemas['MemoryReason']): string {
  return textOf('memory.why', why.code, { count: why.count, day: why.day ? shortDayText(why.day) : '' });
}
