import type { DragMoveEvent, DragOverEvent } from '@dnd-kit/core';
import { useCallback, useLayoutEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { Schemas } from '../api/client';
import { anchorAt, anchorOf, moveSteps, staysPut, type Anchor, type Rung, type Step } from './editing';
import type { Ladder } from './queries';
import type { DraftChanges } from './useDraftChanges';

/** A change that is being tried: rungs carried to another place, or a tricky word to another rung. */
export type Trying =
  { kind: 'move'; ids: string[]; after: Anchor; by: 'keys' | 'mouse' } | { kind: 'tricky'; word: string; rung: string };

const stepsOf = (trying: Trying, rungs: readonly Rung[]): Step[] =>
  trying.kind === 'move'
    ? moveSteps(rungs, trying.ids, trying.after)
    : [{ $type: 'tricky', word: trying.word, rung: trying.rung, at: null }];

const focusRung = (id: string) =>
  requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-rung="${CSS.escape(id)}"] .rung`)?.focus());

interface Use {
  rungs: Rung[];
  /** Undefined for a published version: then keys only go from rung to rung. */
  draft: Ladder | undefined;
  changes: DraftChanges;
  active: readonly string[];
  choose: (id: string, how?: 'one' | 'more' | 'range') => void;
}

/** Carrying rungs and tricky words by mouse and by keys: what is tried, and doing it. */
export function useCarrying({ rungs, draft, changes, active, choose }: Use) {
  const [cut, setCut] = useState<string[]>([]);
  const [trying, setTrying] = useState<Trying | null>(null);
  const [dragged, setDragged] = useState<string[]>([]);
  const [over, setOver] = useState<{ id: string; side: 'above' | 'below' } | null>(null);
  const steps = useMemo(() => (trying ? stepsOf(trying, rungs) : null), [trying, rungs]);

  const act = (name: string, what: Step[], then?: string) => {
    if (what.length === 0) return;
    changes.change.mutate(
      { name, steps: what },
      {
        onSuccess: () => {
          if (then) choose(then);
        },
        onSettled: () => setTrying(null),
      },
    );
  };
  const take = (move: Schemas['MoveView']) =>
    act('suggestion', [{ $type: 'move', id: move.rungId, after: move.after ?? null }], move.rungId);
  const drop = () => {
    if (!trying) return;
    if (trying.kind === 'move' && staysPut(rungs, trying.ids, trying.after)) setTrying(null);
    else
      act(
        trying.kind === 'move' ? 'move' : 'tricky',
        stepsOf(trying, rungs),
        trying.kind === 'move' && trying.by === 'mouse' ? trying.ids[0] : undefined,
      );
  };
  const paste = () => {
    const after = active[active.length - 1];
    if (cut.length === 0 || !after || cut.includes(after)) return;
    act('move', moveSteps(rungs, cut, after));
    setCut([]);
  };

  const onKey = (id: string, event: KeyboardEvent) => {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const letter = event.ctrlKey || event.metaKey ? event.key.toLowerCase() : '';
    // Keys act on the rung that has the focus, and on those chosen with it.
    const meant = active.includes(id) ? active : [id];
    const done = () => event.preventDefault();
    if (by !== undefined && event.altKey && draft) {
      done();
      const ids = trying?.kind === 'move' ? trying.ids : [...meant];
      const after = anchorAt(rungs, ids, trying?.kind === 'move' ? trying.after : anchorOf(rungs, ids), by);
      if (after !== undefined) setTrying({ kind: 'move', ids, after, by: 'keys' });
      focusRung(id);
    } else if (by !== undefined && !event.altKey) {
      done();
      const to = rungs[rungs.findIndex((r) => r.id === id) + by];
      if (trying || !to) return;
      choose(to.id, event.shiftKey ? 'range' : 'one');
      focusRung(to.id);
    } else if (trying && (event.key === 'Enter' || event.key === 'Escape')) {
      done();
      if (event.key === 'Enter') drop();
      else setTrying(null);
      focusRung(id);
    } else if (draft && letter === 'x') {
      done();
      setCut([...meant]);
    } else if (draft && letter === 'v') {
      done();
      paste();
    } else if (draft && event.key === 'Delete') {
      done();
      act(
        'remove',
        meant.map((one) => ({ $type: 'remove', id: one })),
      );
    } else if (event.key === 'Escape') {
      setCut([]);
    }
  };

  const onDrag = (event: DragMoveEvent | DragOverEvent) => {
    const [what, ...rest] = String(event.active.id).split(' ');
    const id = rest.join(' ');
    const target = event.over ? String(event.over.id).slice('row '.length) : null;
    const ids = active.includes(id) ? [...active] : [id];
    if (target === null || (what !== 'tricky' && ids.includes(target))) {
      setOver(null);
      setTrying(null);
      return;
    }
    if (what === 'tricky') {
      setOver({ id: target, side: 'below' });
      setTrying((old) =>
        old?.kind === 'tricky' && old.rung === target ? old : { kind: 'tricky', word: id, rung: target },
      );
      return;
    }
    const [from, to] = [rungs.findIndex((r) => r.id === ids[0]), rungs.findIndex((r) => r.id === target)];
    const after = to > from ? target : (rungs[to - 1]?.id ?? null);
    setDragged(ids);
    setOver({ id: target, side: to > from ? 'below' : 'above' });
    setTrying((old) => (old?.kind === 'move' && old.after === after ? old : { kind: 'move', ids, after, by: 'mouse' }));
  };
  const endDrag = (keep: boolean) => {
    setOver(null);
    setDragged([]);
    if (keep) drop();
    else setTrying(null);
  };

  const stop = useCallback(() => setTrying(null), []);
  return { trying, steps, cut, setCut, dragged, over, act, take, onKey: useStable(onKey), onDrag, endDrag, stop };
}

/** A function that stays the same while what it does is always the latest: rows are not drawn again because of it. */
function useStable<A extends unknown[]>(latest: (...args: A) => void) {
  const held = useRef(latest);
  useLayoutEffect(() => {
    held.current = latest;
  });
  return useCallback((...args: A) => held.current(...args), []);
}
