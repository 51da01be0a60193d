import type { Schemas } from '../../api/client';
import type { LessonView } from '../../lesson/kinds';
import type { BoardEvent, BoardState } from '../state';

/** What a phone needs to show a lesson: nothing of any child, no note. */
export interface RemoteLesson {
  lesson: LessonView['lesson'];
  groupName: string;
  minutes: number;
  language: string;
  style: Schemas['StyleView'];
}

/** What a board says to its phone. */
export type FromBoard = { is: 'lesson'; lesson: RemoteLesson } | { is: 'state'; state: BoardState };

/** What a phone says to its board. */
export type FromPhone = { is: 'hello' } | { is: 'event'; event: BoardEvent };

/** What a phone may do: all that is a key or a number; drawing and tiles are for who stands at the board. */
const OF_PHONE = [
  'went',
  'on',
  'revealed',
  'all',
  'pointed',
  'listed',
  'blanked',
  'laid',
  'timed',
  'shuffled',
  'wobbled',
];

/** The event in what a phone said; null for anything else, since it comes over a wire. */
export function eventOf(message: unknown): BoardEvent | null {
  const said = message as { is?: unknown; event?: Record<string, unknown> } | null;
  const event = said?.is === 'event' ? said.event : undefined;
  if (!event || typeof event['is'] !== 'string' || !OF_PHONE.includes(event['is'])) return null;
  const isFine = Object.entries(event).every(
    ([name, value]) =>
      typeof value === 'string' ||
      value === null ||
      (typeof value === 'number' && Number.isFinite(value)) ||
      (name === 'items' && Array.isArray(value) && value.every((v) => typeof v === 'string')),
  );
  const needs = {
    went: ['to', 'now'],
    on: ['now'],
    pointed: ['by'],
    shuffled: ['activityId', 'items'],
    wobbled: ['correspondence'],
  };
  const needed = needs[event['is'] as keyof typeof needs] ?? [];
  return isFine && needed.every((n) => n in event) ? (event as unknown as BoardEvent) : null;
}

/** The state as the phone gets it: what was drawn is for the board alone. */
export const withoutInk = (state: BoardState): BoardState => ({ ...state, ink: {}, put: {} });
