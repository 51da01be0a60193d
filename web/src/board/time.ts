import type { Slide } from './slides';
import type { BoardState } from './state';

const A_MINUTE = 60_000;

/** So long before Apply would lose of its time the teacher is told, in milliseconds. */
const AHEAD = A_MINUTE;

/** The least share of a lesson that Apply has. Source: docs/handbook.md, section 7 (Pace). */
const LEAST_APPLY = 0.2;

/**
 * Where Apply begins and the minutes it needs, once it is time to go there or it would lose of them; null before, in it
 * and after it.
 * @param minutes how long the lesson is.
 */
export function applyDue(
  state: BoardState,
  slides: readonly Slide[],
  minutes: number,
  now: number,
): { at: number; minutes: number } | null {
  const at = slides.findIndex((s) => s.part === 'apply');
  if (at < 0 || state.at >= at || state.began === null) return null;
  const activities = new Map(slides.slice(at).map((s) => [s.activity.id, s.activity.seconds]));
  const planned = [...activities.values()].reduce((sum, s) => sum + s, 0) / 60;
  const needed = Math.max(planned, LEAST_APPLY * minutes);
  const left = minutes * A_MINUTE - (now - state.began);
  return left < needed * A_MINUTE + AHEAD ? { at, minutes: Math.max(1, Math.round(needed)) } : null;
}
