import differing from '../../../text/en-US.json';
import type { Message, MessageKey } from './en-GB';

/** Where American wording differs; everything else is as in en-GB. */
export const american: Partial<Record<MessageKey, Message>> = differing;
