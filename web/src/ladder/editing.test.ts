import { describe, expect, test } from 'vitest';
import {
  anchorAt,
  anchorOf,
  mergeSteps,
  moved,
  moveSteps,
  splitSteps,
  stageSteps,
  staysPut,
  type Rung,
} from './editing';

const rung = (id: string, more: Partial<Rung> = {}): Rung => ({
  id,
  label: id,
  kind: 'lesson',
  stage: 'one',
  correspondences: [],
  patterns: [],
  chunks: [],
  tricky: [],
  newWords: 0,
  knownWords: 0,
  readable: 0,
  textShare: 0,
  graduates: [],
  reason: null,
  warnings: [],
  ...more,
});
const letters = (...notations: string[]) =>
  notations.map((notation) => ({
    notation,
    grapheme: notation,
    sounds: '',
    keyWord: '',
    facts: undefined!,
    positions: null,
  }));
const ladder = ['a', 'b', 'c', 'd', 'e'].map((id) => rung(id));
const ids = (rungs: Rung[]) => rungs.map((r) => r.id).join('');

describe('moving rungs', () => {
  test('several keep their order whatever order they were chosen in', () => {
    expect(moveSteps(ladder, ['d', 'b'], null)).toEqual([
      { $type: 'move', id: 'b', after: null },
      { $type: 'move', id: 'd', after: 'b' },
    ]);
    expect(ids(moved(ladder, ['d', 'b'], null))).toBe('bdace');
    expect(ids(moved(ladder, ['b'], 'd'))).toBe('acdbe');
  });

  test('what lands inside another stage becomes part of it, at its edge it stays what it was', () => {
    const staged = [rung('a'), rung('b'), rung('c', { stage: 'two' }), rung('d', { stage: 'two' })];
    expect(moveSteps(staged, ['c'], 'a')).toEqual([
      { $type: 'move', id: 'c', after: 'a' },
      { $type: 'stage', id: 'c', stage: 'one' },
    ]);
    expect(moveSteps(staged, ['d'], 'b')).toEqual([{ $type: 'move', id: 'd', after: 'b' }]);
  });

  test('a place up or down is the neighbour’s, and there is none past the ends', () => {
    expect(anchorOf(ladder, ['c'])).toBe('b');
    expect(anchorAt(ladder, ['c'], 'b', -1)).toBe('a');
    expect(anchorAt(ladder, ['c'], 'a', -1)).toBe(null);
    expect(anchorAt(ladder, ['c'], null, -1)).toBe(undefined);
    expect(anchorAt(ladder, ['c'], 'e', 1)).toBe(undefined);
    expect(anchorOf(ladder, ['a', 'b'])).toBe(null);
  });

  test('going back where it was is no move', () => {
    expect(staysPut(ladder, ['c'], 'b')).toBe(true);
    expect(staysPut(ladder, ['c'], 'a')).toBe(false);
  });
});

describe('splitting, joining, naming', () => {
  test('the last of several goes to a rung of its own', () => {
    expect(splitSteps(rung('x', { correspondences: letters('ff=f', 'zz=z') }), 'new')).toEqual([
      { $type: 'teach', id: 'x', correspondences: ['ff=f'], patterns: [], chunks: [] },
      {
        $type: 'insert',
        rung: {
          id: 'new',
          stage: 'one',
          correspondences: ['zz=z'],
          patterns: [],
          tricky: [],
          reason: null,
          kind: null,
          chunks: null,
        },
        after: 'x',
      },
    ]);
    expect(splitSteps(rung('x', { correspondences: letters('ff=f') }), 'new')).toEqual([]);
  });

  test('patterns part from letters', () => {
    const steps = splitSteps(rung('x', { correspondences: letters('pp=p'), patterns: ['join-double'] }), 'new');
    expect(steps[0]).toMatchObject({ correspondences: ['pp=p'], patterns: [] });
    expect(steps[1]).toMatchObject({ rung: { correspondences: [], patterns: ['join-double'] } });
  });

  test('a joined rung brings what it teaches and its tricky words', () => {
    const steps = mergeSteps(
      rung('x', { correspondences: letters('m=m') }),
      rung('y', { correspondences: letters('a=æ'), tricky: ['the'] }),
    );
    expect(steps.map((s) => s.$type)).toEqual(['tricky', 'remove', 'teach']);
    expect(steps[2]).toMatchObject({ correspondences: ['m=m', 'a=æ'] });
  });

  test('a stage is renamed as far as it reaches', () => {
    const rungs = [rung('a'), rung('b', { stage: 'two' }), rung('c', { stage: 'two' }), rung('d', { stage: 'one' })];
    expect(stageSteps(rungs, rungs[1]!, 'New').map((s) => (s as { id: string }).id)).toEqual(['b', 'c']);
  });
});
