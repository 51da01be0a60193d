import type { Action } from '../shell/actions';

/** What the focused tile answers to: told on its page, handled by the tile. */
export const tileActions = (editable: boolean): Action[] => [
  { keys: ['w'], label: 'keys.w' },
  ...(editable
    ? [
        { keys: ['a'], label: 'keys.a' } as const,
        { keys: ['k'], label: 'keys.k' } as const,
        { keys: ['n'], label: 'keys.n' } as const,
      ]
    : []),
];
