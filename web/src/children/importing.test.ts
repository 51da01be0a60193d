import { describe, expect, it } from 'vitest';
import { base64Of } from '../shell/base64';
import { choicesOf, countsOf, isAsked, type Line } from './importing';

const line = (number: number, state: Line['state'], usual: Line['usual']): Line => ({
  line: number,
  name: 'Bo',
  isShortened: false,
  groupId: null,
  state,
  childId: null,
  otherGroup: null,
  usual,
});

describe('taking children in', () => {
  it('counts what would happen, with what was chosen otherwise', () => {
    const lines = [line(1, 'new', 'add'), line(2, 'elsewhere', 'move'), line(3, 'twice', 'skip')];
    expect(countsOf(lines, new Map())).toEqual({ add: 1, move: 1, skip: 1 });
    expect(countsOf(lines, new Map([[2, 'add']]))).toEqual({ add: 2, move: 0, skip: 1 });
  });

  it('asks about what could mean two things alone, the likelier choice first', () => {
    const states = ['new', 'here', 'elsewhere', 'twice', 'unreadable'] as const;
    expect(states.filter((s) => isAsked(line(1, s, 'skip')))).toEqual(['here', 'elsewhere', 'twice']);
    expect(choicesOf(line(1, 'elsewhere', 'move'))[0]).toBe('move');
    expect(choicesOf(line(1, 'here', 'skip'))[0]).toBe('skip');
  });

  it('sends a file as it is, however long', async () => {
    const bytes = new Uint8Array(100_000).map((_, i) => i % 251);
    const back = Uint8Array.from(atob(await base64Of(new Blob([bytes]))), (c) => c.charCodeAt(0));
    expect(back).toEqual(bytes);
  });
});
