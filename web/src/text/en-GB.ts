import type { MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import app from '../../../text/en-GB/app.json';
import type audit from '../../../text/en-GB/audit.json';
import type children from '../../../text/en-GB/children.json';
import type groups from '../../../text/en-GB/groups.json';
import type ladder from '../../../text/en-GB/ladder.json';
import type lesson from '../../../text/en-GB/lesson.json';
import type marks from '../../../text/en-GB/marks.json';
import type people from '../../../text/en-GB/people.json';
import type planning from '../../../text/en-GB/planning.json';
import type school from '../../../text/en-GB/school.json';
import type texts from '../../../text/en-GB/texts.json';

type Messages = typeof app &
  typeof audit &
  typeof children &
  typeof groups &
  typeof ladder &
  typeof lesson &
  typeof marks &
  typeof people &
  typeof planning &
  typeof school &
  typeof texts;

export type MessageKey = keyof Messages;

/** A sentence as it is, or one with values as it was read when the front end was built (vite.config.ts). */
export type Message = string | MessageFormatElement[];

/**
 * Every sentence and label of the screens, as ICU messages: the files that the server reads, too
 * (src/BoldLadder.Wording). What every page says is here from the start, the rest comes with what is behind the door
 * (all.ts).
 */
export const messages: Partial<Record<MessageKey, Message>> = { ...app };
