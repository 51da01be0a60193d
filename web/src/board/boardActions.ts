import type { Action } from '../shell/actions';
import { canList, shuffledItems } from './slides';
import type { BoardHere } from './useBoard';

/** Seconds for each word at the speeds that one key goes through. */
const SPEEDS = [null, 4, 2] as const;

/** What can be done by key in the class's window and in the teacher's alike. */
export function boardActions({ state, slides, slide, happen, on, back }: BoardHere): Action[] {
  const shuffle = () => {
    const items = slide && shuffledItems(slides, slide.activity.id);
    if (items) happen({ is: 'shuffled', activityId: slide.activity.id, items });
  };
  const faster = () => {
    const at = SPEEDS.findIndex((s) => s === state.every);
    happen({ is: 'timed', every: SPEEDS[(at + 1) % SPEEDS.length]! });
  };
  return [
    { keys: [' ', 'ArrowRight', 'PageDown'], shown: 'Space', label: 'keys.boardOn', run: on },
    { keys: ['Backspace', 'ArrowLeft', 'PageUp'], label: 'keys.boardBack', run: back },
    { keys: ['r'], label: 'keys.boardReveal', run: () => slide?.steps && happen({ is: 'revealed' }) },
    { keys: ['a'], label: 'keys.boardAll', run: () => slide?.steps && happen({ is: 'all' }) },
    { keys: ['ArrowDown'], shown: '↓', label: 'keys.boardPoint', run: () => happen({ is: 'pointed', by: 1 }) },
    { keys: ['ArrowUp'], shown: '↑', label: 'keys.boardPointBack', run: () => happen({ is: 'pointed', by: -1 }) },
    {
      keys: ['l'],
      label: 'keys.boardList',
      run: () => slide && canList(slide.activity) && happen({ is: 'listed' }),
    },
    { keys: ['s'], label: 'keys.boardShuffle', run: shuffle },
    { keys: ['p'], label: 'keys.boardSpeed', run: faster },
    { keys: ['x', 'b', '.'], label: 'keys.boardBlank', run: () => happen({ is: 'blanked' }) },
    { keys: ['w'], label: 'keys.boardLines', run: () => happen({ is: 'laid', sheet: 'lines' }) },
    { keys: ['k'], label: 'keys.boardPage', run: () => happen({ is: 'laid', sheet: 'blank' }) },
    { keys: ['z'], label: 'keys.boardUndo', run: () => happen({ is: 'undrew' }) },
  ];
}
