import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useFacts } from '../facts/facts';
import type { LessonView } from '../lesson/kinds';
import { BoardLink, channelOf, keepLesson, keptLesson, keptState, stampOf, storeHere } from './link';
import { slidesOf } from './slides';
import { reduce, slidesNow, START, type BoardEvent, type BoardState } from './state';

type Lesson = LessonView['lesson'];

/**
 * A lesson that is taught from this window, the class's or the teacher's, and from others of the same browser.
 * @param opened the lesson as the server has it now; what is taught is the one that the board was begun with.
 * @param lessonId what is kept and told goes by it; null where there is one window, and nothing is kept.
 */
export function useBoard(opened: Lesson, lessonId: string | null) {
  const facts = useFacts();
  const mine = useMemo(() => stampOf(opened), [opened]);
  const [state, setState] = useState<BoardState>(() => (lessonId && keptState(storeHere(), lessonId)) || START);
  const [isUnkept, setUnkept] = useState(() => lessonId !== null && storeHere() === null);
  const link = useRef<BoardLink | null>(null);
  const lessonOf = useCallback(
    (of: string): Lesson =>
      (of && of !== mine && lessonId ? keptLesson<Lesson>(storeHere(), lessonId, of) : null) ?? opened,
    [mine, opened, lessonId],
  );
  useEffect(() => {
    const store = lessonId ? storeHere() : null;
    const made = new BoardLink({
      lessonId: lessonId ?? '',
      of: mine,
      keep: () => lessonId && keepLesson(store, lessonId, mine, opened),
      first: START,
      reduce: (now, event) =>
        reduce(now, event, slidesNow(lessonOf(event.is === 'renewed' ? event.of : now.of), facts, now.orders)),
      onChange: (next) => {
        setState(next);
        setUnkept(made.isUnkept || (lessonId !== null && storeHere() === null));
      },
      channel: lessonId ? channelOf(lessonId) : null,
      store,
    });
    link.current = made;
    return () => made.close();
  }, [opened, mine, lessonOf, lessonId, facts]);
  const lesson = useMemo(() => lessonOf(state.of), [lessonOf, state.of]);
  const slides = useMemo(() => slidesNow(lesson, facts, state.orders), [lesson, facts, state.orders]);
  const slide = slides[state.at];
  const happen = (event: BoardEvent) => link.current?.happen(event);
  return {
    state,
    slides,
    slide,
    lesson,
    isUnkept,
    /** True where the lesson was changed elsewhere after its board was begun. */
    isChanged: state.of !== '' && state.of !== mine,
    happen,
    on: () => happen({ is: 'on', now: Date.now() }),
    back: () => link.current && happen({ is: 'went', to: link.current.state.at - 1, now: Date.now() }),
    /** Goes on with the lesson as it is now, from the activity that is shown. */
    renew: () => {
      const to = slidesOf(opened, facts).findIndex((s) => s.activity.id === slide?.activity.id);
      happen({ is: 'renewed', of: mine, to: Math.max(0, to), now: Date.now() });
    },
  };
}

export type BoardHere = ReturnType<typeof useBoard>;
