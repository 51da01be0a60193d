import { describe, expect, it } from 'vitest';
import { BoardLink, type Channel } from './link';
import { isState, reduce, slidesNow, START, tookIn, type BoardEvent, type BoardState } from './state';
import { applyDue } from './time';
import { shippedFacts } from '../facts/shipped';
import type { Activity, LessonView } from '../lesson/kinds';

const card = (id: string) => ({ $type: 'word', id, kept: false, word: id, oral: false, marks: [], tricky: [] });
const activity = (id: string, ...items: string[]) =>
  ({ id, kind: 'read-words', seconds: 60, items: items.map(card), steps: null }) as unknown as Activity;
const lesson = {
  parts: [
    { kind: 'revisit', activities: [activity('a', 'a1', 'a2')] },
    { kind: 'practise', activities: [activity('b', 'b1', 'b2', 'b3')] },
  ],
} as unknown as LessonView['lesson'];
const step = (state: BoardState, event: BoardEvent) =>
  reduce(state, event, slidesNow(lesson, shippedFacts, state.orders));
const shown = (state: BoardState) =>
  slidesNow(lesson, shippedFacts, state.orders).map((s) => s.item?.id ?? s.activity.id);

describe('what happens on a board', () => {
  it('goes on and back within the lesson, and hides again what was revealed', () => {
    let state = step(START, { is: 'went', to: 1, now: 0 });
    state = step(step(state, { is: 'revealed' }), { is: 'blanked' });
    expect([state.at, state.step, state.isBlank]).toEqual([1, 1, true]);
    state = step(state, { is: 'went', to: 2, now: 0 });
    expect([state.at, state.step, state.isBlank]).toEqual([2, 0, false]);
    expect(step(state, { is: 'went', to: -3, now: 0 }).at).toBe(0);
    expect(step(state, { is: 'went', to: 99, now: 0 }).at).toBe(7);
  });

  it('counts the time of each activity, over going back and forth', () => {
    let state = step(START, { is: 'went', to: 1, now: 1000 });
    state = step(state, { is: 'went', to: 3, now: 11_000 });
    state = step(state, { is: 'went', to: 2, now: 14_000 });
    state = step(state, { is: 'went', to: 4, now: 20_000 });
    expect([state.spent, state.began]).toEqual([{ a: 16_000, b: 3_000 }, 1000]);
    expect(tookIn(state, 'b', 'b', 25_000)).toBe(8_000);
    expect(tookIn(state, 'a', 'b', 25_000)).toBe(16_000);
  });

  it('shows shuffled items in their new order, and starts with the first', () => {
    const state = step(START, { is: 'shuffled', activityId: 'b', items: ['b3', 'b1', 'b2'] });
    expect(shown(state)).toEqual(['a', 'a1', 'a2', 'b', 'b3', 'b1', 'b2']);
    expect(state.at).toBe(4);
  });

  it('marks and unmarks what wobbled', () => {
    const once = step(START, { is: 'wobbled', correspondence: 'sh=ʃ' });
    expect(once.wobbled).toEqual(['sh=ʃ']);
    expect(step(once, { is: 'wobbled', correspondence: 'sh=ʃ' }).wobbled).toEqual([]);
  });

  it('shows what is asked before it goes on, and lets a list out word by word', () => {
    const asking = { parts: [{ kind: 'practise', activities: [{ ...activity('s', 's1'), kind: 'spell-words' }] }] };
    const slides = slidesNow(asking as unknown as LessonView['lesson'], shippedFacts, {});
    let state = reduce(START, { is: 'on', now: 0 }, slides);
    for (let i = 0; i < slides[1]!.steps; i++) {
      expect([state.at, state.step]).toEqual([1, i]);
      state = reduce(state, { is: 'on', now: 0 }, slides);
    }
    expect(reduce(state, { is: 'on', now: 0 }, slides).at).toBe(2);

    state = step(step(START, { is: 'went', to: 5, now: 0 }), { is: 'listed' });
    expect([state.isList, state.at]).toEqual([true, 4]);
    for (const out of [1, 2, 3]) {
      state = step(state, { is: 'on', now: 0 });
      expect(state.pointer).toBe(out);
    }
    state = step(state, { is: 'on', now: 0 });
    expect([state.at, state.isList]).toEqual([7, false]);
  });

  it('keeps what is put and drawn with its slide and its page', () => {
    const stroke = { tool: 'pen', points: [0, 0, 50, 100, 100, 50] } as const;
    let state = step(step(START, { is: 'went', to: 1, now: 0 }), { is: 'drew', stroke });
    state = step(step(state, { is: 'laid', sheet: 'lines' }), { is: 'drew', stroke });
    state = step(state, { is: 'drew', stroke });
    state = step(state, { is: 'put', what: ['x'] });
    expect(Object.entries(state.ink).map(([k, v]) => [k, v.length])).toEqual([
      ['a/a1', 1],
      ['a/a1/lines', 2],
    ]);
    expect(state.put).toEqual({ 'a/a1/lines': ['x'] });
    state = step(state, { is: 'undrew' });
    expect(state.ink['a/a1/lines']).toHaveLength(1);
    state = step(state, { is: 'laid', sheet: null });
    expect(step(state, { is: 'erased', from: [500, 500, 50] }).ink).toEqual(state.ink);
    expect(Object.keys(step(state, { is: 'erased', from: [90, 110, 50] }).ink)).toEqual(['a/a1/lines']);
    expect(Object.keys(step(state, { is: 'cleared' }).ink)).toEqual(['a/a1/lines']);
  });

  it('goes on with another lesson of the day when it is told to', () => {
    const state = step(step(START, { is: 'went', to: 2, now: 0 }), { is: 'renewed', of: 'new', to: 4, now: 5 });
    expect([state.of, state.at, state.spent]).toEqual(['new', 4, { a: 5 }]);
  });

  it('knows a state from nonsense', () => {
    expect(isState(START)).toBe(true);
    for (const odd of [
      null,
      3,
      'x',
      {},
      { ...START, at: 'three' },
      { ...START, wobbled: null },
      { ...START, spent: null },
    ])
      expect(isState(odd)).toBe(false);
  });
});

describe('time for applying', () => {
  const ten = {
    parts: [
      { kind: 'practise', activities: [activity('a', 'a1')] },
      { kind: 'apply', activities: [{ ...activity('b', 'b1', 'b2'), seconds: 180 }] },
    ],
  } as unknown as LessonView['lesson'];
  const slides = slidesNow(ten, shippedFacts, {});
  const due = (minute: number, at: number) => applyDue({ ...START, at, began: 0 }, slides, 10, minute * 60_000);

  it('is said a minute before Apply would lose of its own, not before and not once one is there', () => {
    expect(due(5.9, 1)).toBeNull();
    expect(due(6.1, 1)).toEqual({ at: 2, minutes: 3 });
    expect(due(9, 2)).toBeNull();
    expect(applyDue(START, slides, 10, 9 * 60_000)).toBeNull();
  });
  it('is never less than a fifth of the lesson', () => {
    const short = slides.map((s) => ({ ...s, activity: { ...s.activity, seconds: 20 } }));
    expect(applyDue({ ...START, began: 0 }, short, 20, 15.5 * 60_000)).toEqual({ at: 2, minutes: 4 });
  });
});

/** Windows of one browser: what one says, the others hear. */
class Air {
  readonly windows: (Channel & { deaf?: boolean })[] = [];
  readonly store = new Map<string, string>();
  kept = 0;

  open(id: string, lessonId = 'l', store: Pick<Storage, 'getItem' | 'setItem'> | null = this.shelf) {
    const channel: Channel & { deaf?: boolean } = {
      onmessage: null,
      close: () => undefined,
      postMessage: (message) => {
        for (const other of this.windows)
          if (other !== channel && !other.deaf && !channel.deaf)
            other.onmessage?.({ data: structuredClone(message) } as MessageEvent);
      },
    };
    this.windows.push(channel);
    const common = { lessonId, of: 'a', keep: () => void this.kept++, first: START, reduce: step };
    const link = new BoardLink({ ...common, onChange: () => undefined, channel, store, id });
    return { link, channel };
  }

  private readonly shelf = {
    getItem: (key: string) => this.store.get(key) ?? null,
    setItem: (key: string, value: string) => void this.store.set(key, value),
  };
}

describe('windows of a lesson', () => {
  const went = (to: number): BoardEvent => ({ is: 'went', to, now: Date.now() });

  it('follow each other, whoever does it', () => {
    const air = new Air();
    const [board, teacher] = [air.open('b').link, air.open('t').link];
    board.happen(went(2));
    teacher.happen({ is: 'revealed' });
    expect(board.state).toEqual(teacher.state);
    expect([board.state.at, board.state.step]).toEqual([2, 1]);
  });

  it('keep the lesson that was begun, once', () => {
    const air = new Air();
    const [board, teacher] = [air.open('b').link, air.open('t').link];
    board.happen(went(2));
    teacher.happen(went(3));
    expect([air.kept, board.state.of, teacher.state.of]).toEqual([1, 'a', 'a']);
  });

  it('come back to the same place after a reload, together or alone', () => {
    const air = new Air();
    air.open('b').link.happen(went(3));
    // All windows were closed: it comes from what was kept.
    air.windows.length = 0;
    const again = air.open('b2').link;
    expect(again.state.at).toBe(3);
    // Where nothing was kept, the other window tells it.
    expect(air.open('t', 'l', null).link.state).toEqual(again.state);
  });

  it('ask for the whole when they missed something', () => {
    const air = new Air();
    const [board, teacher] = [air.open('b'), air.open('t')];
    teacher.channel.deaf = true;
    board.link.happen(went(1));
    board.link.happen(went(2));
    teacher.channel.deaf = false;
    board.link.happen({ is: 'revealed' });
    expect(teacher.link.state).toEqual(board.link.state);
  });

  it('agree after both did something at the same moment', () => {
    const air = new Air();
    const [board, teacher] = [air.open('b'), air.open('t')];
    board.link.happen(went(1));
    teacher.channel.deaf = true;
    teacher.link.happen({ is: 'blanked' });
    board.link.happen({ is: 'revealed' });
    teacher.channel.deaf = false;
    teacher.link.happen(went(4));
    board.link.happen(went(5));
    expect(teacher.link.state).toEqual(board.link.state);
  });

  it('begin anew once the lesson is over', () => {
    const air = new Air();
    const { link, channel } = air.open('t');
    link.happen(went(3));
    channel.onmessage!({ data: { is: 'over' } } as MessageEvent);
    expect(link.state).toEqual(START);
  });

  it('do not bring back what is over, though one of them missed that', () => {
    const air = new Air();
    const teacher = air.open('t');
    teacher.link.happen(went(3));
    air.store.delete('bold-board:l');
    air.store.set('bold-board-over:l', String(Date.now() + 1));
    const anew = air.open('b');
    expect([anew.link.state, teacher.link.state]).toEqual([START, START]);
  });

  it('teach on where the browser keeps nothing, and say so', () => {
    const full = {
      getItem: () => 'not json',
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError');
      },
    };
    const { link } = new Air().open('b', 'l', full);
    expect(link.state).toEqual(START);
    link.happen(went(2));
    expect([link.state.at, link.isUnkept]).toEqual([2, true]);
  });
});
