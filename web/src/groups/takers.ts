import type { Schemas } from '../api/client';
import { text, weekdayText } from '../text/text';

/** Who takes a group, and when where that is not every day: Tom Ridley, Lena Hartwig (Mon, Tue). */
export const takersText = (takers: readonly Schemas['TakerView'][]) =>
  takers
    .map((t) =>
      t.weekdays ? text('groups.takerDays', { name: t.name, days: t.weekdays.map(weekdayText).join(', ') }) : t.name,
    )
    .join(', ');
