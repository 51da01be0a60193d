import type { Facts } from '../facts/facts';
import type { LessonView } from '../lesson/kinds';
import { eraseFrom, type Stroke } from './ink/strokes';
import { canList, revealed, slidesOf, type Slide } from './slides';

type Lesson = LessonView['lesson'];

/** A page that lies over what is taught: lines to write on, or nothing. */
export type Sheet = 'lines' | 'blank';

/**
 * Where a lesson is that is taught from the board: everything that the class's window and the teacher's share. It is
 * plain data, so that it can be sent and kept as it is.
 */
export interface BoardState {
  /** How many events made it what it is. */
  version: number;
  /** Which lesson it is about, by its content; empty before the first event. */
  of: string;
  /** Which slide is shown; past the last one the lesson is at its end. */
  at: number;
  /** How much of the slide is revealed. */
  step: number;
  /** How far the pointer is on the slide, or the shade on the list; 0 where neither was moved. */
  pointer: number;
  /** True while the words of an activity stand in a list. */
  isList: boolean;
  isBlank: boolean;
  sheet: Sheet | null;
  /** Seconds after which the next one comes by itself; null where a hand does it. */
  every: number | null;
  /** Ids of the items of activities that were shuffled, in their new order. */
  orders: Readonly<Record<string, readonly string[]>>;
  /** What was laid, chosen, found or ticked on a slide, as its kind writes it down. */
  put: Readonly<Record<string, readonly string[]>>;
  /** What was drawn over a slide. */
  ink: Readonly<Record<string, readonly Stroke[]>>;
  /** Correspondences that wobbled. */
  wobbled: readonly string[];
  /** Milliseconds that each activity took up to now, but for the one that is shown. */
  spent: Readonly<Record<string, number>>;
  /** When the lesson and the activity that is shown began; null before the first step. */
  began: number | null;
  since: number | null;
}

/** What can happen; a moment is said by whoever makes the event, so that all windows come to the same. */
export type BoardEvent =
  | { is: 'went'; to: number; now: number }
  /** On by one: what is hidden first, then the next. */
  | { is: 'on'; now: number }
  /** Another lesson of the same day in the place of the one that was begun. */
  | { is: 'renewed'; of: string; to: number; now: number }
  | { is: 'revealed' }
  | { is: 'all' }
  | { is: 'pointed'; by: number }
  | { is: 'listed' }
  | { is: 'blanked' }
  | { is: 'laid'; sheet: Sheet | null }
  | { is: 'timed'; every: number | null }
  | { is: 'shuffled'; activityId: string; items: readonly string[] }
  | { is: 'put'; what: readonly string[] }
  | { is: 'drew'; stroke: Stroke }
  | { is: 'undrew' }
  | { is: 'erased'; from: readonly number[] }
  | { is: 'cleared' }
  | { is: 'wobbled'; correspondence: string };

export const START: BoardState = {
  version: 0,
  of: '',
  at: 0,
  step: 0,
  pointer: 0,
  isList: false,
  isBlank: false,
  sheet: null,
  every: null,
  orders: {},
  put: {},
  ink: {},
  wobbled: [],
  spent: {},
  began: null,
  since: null,
};

/** The slides in the order in which they are shown now. */
export function slidesNow(lesson: Lesson, facts: Facts, orders: BoardState['orders']): Slide[] {
  const slides = slidesOf(lesson, facts);
  return slides.map((slide) => {
    const order = orders[slide.activity.id];
    if (!order || !slide.item) return slide;
    const id = order[slide.at - 1];
    const item = slide.activity.items.find((i) => i.id === id) ?? slide.item;
    return {
      ...slide,
      id: `${slide.activity.id}/${item.id}`,
      item,
      ...revealed(item, slide.activity, slide.at, facts),
    };
  });
}

/** What is put or drawn goes by this: the slide, its list, or the page that lies over it. */
export function placeOf(state: BoardState, slide: Slide | undefined): string {
  const on = slide ? (state.isList ? `${slide.activity.id}/list` : slide.id) : 'end';
  return state.sheet ? `${on}/${state.sheet}` : on;
}

/** How far the pointer can go now: on a list from word to word. */
export const pointsNow = (state: BoardState, slide: Slide | undefined) =>
  !slide ? 0 : state.isList ? slide.activity.items.length : slide.points;

/** What an event makes of a state. */
export function reduce(state: BoardState, event: BoardEvent, slides: readonly Slide[]): BoardState {
  const next = { ...state, version: state.version + 1 };
  const slide = slides[state.at];
  const place = placeOf(state, slide);
  switch (event.is) {
    case 'went':
      return go(state, event.to, event.now, slides);
    case 'on':
      if (state.isList && slide) {
        if (state.pointer < slide.activity.items.length)
          return { ...next, pointer: state.pointer + 1, ...begun(state, event.now) };
        return go(state, afterActivity(slides, slide), event.now, slides);
      }
      if (slide?.asks && state.step < slide.steps) return { ...next, step: state.step + 1, ...begun(state, event.now) };
      return go(state, state.at + 1, event.now, slides);
    case 'renewed':
      return { ...go({ ...state, orders: {}, isList: false }, event.to, event.now, slides), of: event.of };
    case 'revealed':
      return { ...next, step: slide && state.step < slide.steps ? state.step + 1 : 0 };
    case 'all':
      return { ...next, step: slide && state.step < slide.steps ? slide.steps : 0 };
    case 'pointed': {
      const pointer = Math.min(pointsNow(state, slide), Math.max(0, state.pointer + event.by));
      return { ...next, pointer };
    }
    case 'listed': {
      if (!slide || !canList(slide.activity)) return next;
      const first = slides.findIndex((s) => s.activity.id === slide.activity.id && s.item);
      return { ...next, isList: !state.isList, at: first, step: 0, pointer: 0 };
    }
    case 'blanked':
      return { ...next, isBlank: !state.isBlank };
    case 'laid':
      return { ...next, isBlank: false, sheet: state.sheet === event.sheet ? null : event.sheet };
    case 'timed':
      return { ...next, every: event.every };
    case 'shuffled': {
      const first = slides.findIndex((s) => s.activity.id === event.activityId && s.item);
      return {
        ...next,
        step: 0,
        pointer: 0,
        at: first >= 0 ? first : state.at,
        orders: { ...state.orders, [event.activityId]: event.items },
      };
    }
    case 'put':
      return { ...next, put: { ...state.put, [place]: event.what } };
    case 'drew':
      return drawn(next, place, [...(state.ink[place] ?? []), event.stroke]);
    case 'undrew':
      return drawn(next, place, (state.ink[place] ?? []).slice(0, -1));
    case 'erased':
      return drawn(next, place, eraseFrom(state.ink[place] ?? [], event.from));
    case 'cleared':
      return drawn(next, place, []);
    case 'wobbled':
      return {
        ...next,
        wobbled: state.wobbled.includes(event.correspondence)
          ? state.wobbled.filter((w) => w !== event.correspondence)
          : [...state.wobbled, event.correspondence],
      };
  }
}

/** Where the next activity begins. */
function afterActivity(slides: readonly Slide[], slide: Slide): number {
  const first = slides.findIndex((s) => s.activity.id === slide.activity.id);
  const other = slides.slice(first).findIndex((s) => s.activity.id !== slide.activity.id);
  return other < 0 ? slides.length : first + other;
}

const begun = (state: BoardState, now: number) => ({ began: state.began ?? now, since: state.since ?? now });

function drawn(state: BoardState, place: string, strokes: readonly Stroke[]): BoardState {
  const others = Object.fromEntries(Object.entries(state.ink).filter(([on]) => on !== place));
  return { ...state, ink: strokes.length > 0 ? { ...others, [place]: strokes } : others };
}

function go(state: BoardState, to: number, now: number, slides: readonly Slide[]): BoardState {
  const at = Math.min(slides.length, Math.max(0, to));
  const [before, after] = [slides[state.at]?.activity.id, slides[at]?.activity.id];
  const isSame = before === after;
  const moved = {
    ...state,
    version: state.version + 1,
    at,
    step: 0,
    pointer: 0,
    isBlank: false,
    sheet: null,
    isList: isSame && state.isList,
    every: isSame ? state.every : null,
    began: state.began ?? now,
  };
  if (isSame && state.since !== null) return moved;
  return {
    ...moved,
    since: now,
    spent: before === undefined ? state.spent : { ...state.spent, [before]: tookIn(state, before, before, now) },
  };
}

/**
 * Milliseconds that an activity took until now.
 * @param shown the activity that is on the board.
 */
export function tookIn(state: BoardState, activityId: string, shown: string | undefined, now: number): number {
  const before = state.spent[activityId] ?? 0;
  return activityId === shown && state.since !== null ? before + Math.max(0, now - state.since) : before;
}

/** True for what may be a state: what comes out of a store or another window is looked at first. */
export function isState(value: unknown): value is BoardState {
  const state = value as Partial<BoardState> | null;
  return (
    typeof state === 'object' &&
    state !== null &&
    [state.version, state.at, state.step, state.pointer].every(Number.isInteger) &&
    typeof state.of === 'string' &&
    typeof state.isBlank === 'boolean' &&
    typeof state.isList === 'boolean' &&
    [state.orders, state.put, state.ink, state.spent].every(isRecord) &&
    Array.isArray(state.wobbled)
  );
}

const isRecord = (value: unknown) => typeof value === 'object' && value !== null && !Array.isArray(value);
