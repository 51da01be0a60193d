import lesson from '../../../text/en-GB/lesson.json';
import { messages } from './en-GB';

/** What lessons and the board say. */
Object.assign(messages, lesson);
