import type { Facts } from '../facts/facts';
import type { LessonView } from '../lesson/kinds';
import { keptLesson, keptState, storeHere } from './link';
import { slidesNow, tookIn } from './state';

/** What a board of this browser knows of a lesson that was taught from it. */
export interface TaughtFromBoard {
  wobbled: readonly string[];
  /** In which activity it stands; null at its end. */
  activityId: string | null;
  /** Seconds that its activities took. */
  took: Record<string, number>;
}

/** What the board knows of a lesson; null where none was open. */
export function keptBoard(view: LessonView, facts: Facts): TaughtFromBoard | null {
  const kept = keptState(storeHere(), view.id);
  if (!kept) return null;
  const lesson = keptLesson<LessonView['lesson']>(storeHere(), view.id, kept.of) ?? view.lesson;
  const slide = slidesNow(lesson, facts, kept.orders)[kept.at];
  const activityId = slide?.activity.id ?? null;
  const now = Date.now();
  const spent = Object.keys({ ...kept.spent, ...(activityId && { [activityId]: 0 }) }).map(
    (id) => [id, Math.round(tookIn(kept, id, activityId ?? undefined, now) / 1000)] as const,
  );
  return { wobbled: kept.wobbled, activityId, took: Object.fromEntries(spent) };
}
