import type { Schemas } from '../api/client';
import { dayText, labelText, teachingText, text } from '../text/text';

/** What a word needs and when that comes: with its day for a group, with its rung for a ladder alone. */
export function needText(need: Schemas['NeedView']): string {
  const what = teachingText(need.what);
  if (!need.when) return text('verdict.never', { what });
  if (need.when.date) return text('verdict.when', { what, date: dayText(need.when.date) });
  const rung = labelText(need.when.rung);
  return rung === what || what.startsWith(`${rung} `) ? what : text('texts.needRung', { what, rung });
}
