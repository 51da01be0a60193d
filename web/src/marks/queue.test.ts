import { describe, expect, it } from 'vitest';
import { MarkQueue, type MarkAnswer, type MarkGiven } from './queue';

const mark = (id: string): MarkGiven => ({
  id,
  kind: 'miss',
  childId: 'c',
  word: 'ship',
  place: 0,
  seen: null,
  written: null,
  verdicts: null,
  madeAt: '2026-11-30T09:00:00Z',
});

function store() {
  const kept = new Map<string, string>();
  return {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
    removeItem: (k: string) => void kept.delete(k),
    kept,
  };
}

const answer = (m: MarkGiven, fate: MarkAnswer['fate'] = 'kept', reason: string | null = null) => ({
  id: m.id,
  fate,
  reason,
});

describe('marks on their way', () => {
  it('live through a reload and are sent in the order in which they were made', async () => {
    const place = store();
    new MarkQueue(place, 'q', () => Promise.reject(new Error('no server'))).add('l', mark('1'));
    const offline = new MarkQueue(place, 'q', () => Promise.reject(new Error('no server')));
    offline.add('l', mark('2'));
    expect(await offline.flush()).toBe(false);
    expect(offline.kept.waiting).toHaveLength(2);
    const sent: string[] = [];
    const back = new MarkQueue(place, 'q', (_, marks) => {
      sent.push(...marks.map((m) => m.id));
      return Promise.resolve(marks.map((m) => answer(m)));
    });
    expect(await back.flush()).toBe(true);
    expect(sent).toEqual(['1', '2']);
    expect(place.kept.size).toBe(0);
  });

  it('a mark that is made while others are sent is sent too, and none is lost', async () => {
    const seen: string[][] = [];
    const queue = new MarkQueue(store(), 'q', (_, marks) => {
      if (seen.length === 0) queue.add('l', mark('late'));
      seen.push(marks.map((m) => m.id));
      return Promise.resolve(marks.map((m) => answer(m)));
    });
    queue.add('l', mark('1'));
    await queue.flush();
    expect(seen).toEqual([['1'], ['late']]);
  });

  it('what is not kept is shown with its reason until it was read', async () => {
    const queue = new MarkQueue(store(), 'q', (_, marks) =>
      Promise.resolve(marks.map((m) => answer(m, 'refused', 'mark-other-group'))),
    );
    queue.add('l', mark('1'));
    await queue.flush();
    expect(queue.kept.waiting).toEqual([]);
    expect(queue.kept.refused.map((r) => r.reason)).toEqual(['mark-other-group']);
    queue.forgetRefused();
    expect(queue.kept.refused).toEqual([]);
  });

  it('a broken store begins empty', () => {
    const place = store();
    place.setItem('q', '{');
    expect(new MarkQueue(place, 'q', () => Promise.resolve([])).kept.waiting).toEqual([]);
  });
});
