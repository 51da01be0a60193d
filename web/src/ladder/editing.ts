import type { Schemas } from '../api/client';

export type Rung = Schemas['RungView'];
export type Step = Schemas['LadderStep'];

/** Where rungs are put: right after another, or first when it is null. */
export type Anchor = string | null;

/**
 * The rungs in the ladder's order, moved so that they follow the anchor; what lands inside another stage becomes part
 * of it.
 */
export function moveSteps(rungs: readonly Rung[], ids: readonly string[], after: Anchor): Step[] {
  const { carried, stage } = landing(rungs, ids, after);
  return [
    ...carried.map((r, i) => ({ $type: 'move' as const, id: r.id, after: i === 0 ? after : carried[i - 1]!.id })),
    ...carried
      .filter((r) => stage !== undefined && r.stage !== stage)
      .map((r) => ({ $type: 'stage' as const, id: r.id, stage: stage! })),
  ];
}

/** What is carried, what stays, and the stage that is the same on both sides of where it lands. */
function landing(rungs: readonly Rung[], ids: readonly string[], after: Anchor) {
  const carried = rungs.filter((r) => ids.includes(r.id));
  const others = rungs.filter((r) => !ids.includes(r.id));
  const at = after === null ? -1 : others.findIndex((r) => r.id === after);
  const stage = others[at]?.stage === others[at + 1]?.stage ? others[at]?.stage : undefined;
  return { carried, others, at, stage };
}

/**
 * The rung that the moved ones would follow when they go so many places up or down; undefined at the end of the ladder.
 */
export function anchorAt(
  rungs: readonly Rung[],
  ids: readonly string[],
  after: Anchor,
  by: number,
): Anchor | undefined {
  const others = rungs.filter((r) => !ids.includes(r.id));
  const at = (after === null ? -1 : others.findIndex((r) => r.id === after)) + by;
  if (at < -1 || at >= others.length) return undefined;
  return at === -1 ? null : others[at]!.id;
}

/** What the rungs follow as they stand: the last rung before the first of them. */
export function anchorOf(rungs: readonly Rung[], ids: readonly string[]): Anchor {
  const first = rungs.findIndex((r) => ids.includes(r.id));
  const before = rungs.slice(0, Math.max(0, first)).filter((r) => !ids.includes(r.id));
  return before[before.length - 1]?.id ?? null;
}

/** The ladder as it looks with the rungs moved. */
export function moved(rungs: readonly Rung[], ids: readonly string[], after: Anchor): Rung[] {
  const { carried, others, at, stage } = landing(rungs, ids, after);
  return [...others.slice(0, at + 1), ...carried.map((r) => (stage ? { ...r, stage } : r)), ...others.slice(at + 1)];
}

/** True when moving would leave everything as it is. */
export function staysPut(rungs: readonly Rung[], ids: readonly string[], after: Anchor): boolean {
  return moved(rungs, ids, after).every((r, i) => r.id === rungs[i]!.id);
}

/** The last thing a rung teaches goes to a rung of its own, right after it; nothing when it teaches one thing only. */
export function splitSteps(rung: Rung, newId: string): Step[] {
  const notations = rung.correspondences.map((c) => c.notation);
  const kept = rung.patterns.length > 0 ? notations : notations.slice(0, -1);
  const gone = rung.patterns.length > 0 ? [] : notations.slice(-1);
  if (kept.length === 0 || gone.length + rung.patterns.length === 0) return [];
  return [
    { $type: 'teach', id: rung.id, correspondences: kept, patterns: [], chunks: rung.chunks },
    {
      $type: 'insert',
      rung: {
        id: newId,
        stage: rung.stage,
        correspondences: gone,
        patterns: rung.patterns,
        tricky: [],
        reason: null,
        kind: null,
        chunks: null,
      },
      after: rung.id,
    },
  ];
}

/** The next rung joins this one: what it teaches and its tricky words come here. */
export function mergeSteps(rung: Rung, next: Rung): Step[] {
  return [
    ...next.tricky.map((word) => ({ $type: 'tricky' as const, word, rung: rung.id, at: null })),
    { $type: 'remove', id: next.id },
    {
      $type: 'teach',
      id: rung.id,
      correspondences: [...rung.correspondences, ...next.correspondences].map((c) => c.notation),
      patterns: [...new Set([...rung.patterns, ...next.patterns])],
      chunks: [...new Set([...rung.chunks, ...next.chunks])],
    },
  ];
}

/** All rungs of a stage, which stand together, get another name for it. */
export function stageSteps(rungs: readonly Rung[], first: Rung, name: string): Step[] {
  const from = rungs.findIndex((r) => r.id === first.id);
  const run: Rung[] = [];
  for (let i = from; i < rungs.length && rungs[i]!.stage === first.stage; i++) run.push(rungs[i]!);
  return run.map((r) => ({ $type: 'stage' as const, id: r.id, stage: name }));
}

/** A rung that says something about itself: letters, tricky words, or the kind of day. */
export function newRung(
  id: string,
  stage: string,
  what: { correspondences?: string[]; patterns?: string[]; chunks?: string[]; kind?: 'review' | 'assessment' | 'sort' },
): Schemas['RungDocument'] {
  return {
    id,
    stage,
    correspondences: what.correspondences ?? [],
    patterns: what.patterns ?? [],
    tricky: [],
    reason: null,
    kind: what.kind ?? null,
    chunks: what.chunks ?? null,
  };
}
