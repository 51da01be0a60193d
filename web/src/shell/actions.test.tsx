import { act, cleanup, fireEvent, render, renderHook } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { useActions, useActionsHere, useLetterKeys } from './actions';
import { Kbd } from './Kbd';

afterEach(() => {
  cleanup();
  localStorage.clear();
});

test('a key runs its action, is told in the help while its part is there, and not while something is typed', () => {
  const run = vi.fn();
  const page = renderHook(() => useActions([{ keys: ['b'], label: 'keys.b', run }]));
  const help = renderHook(() => useActionsHere());
  expect(help.result.current.map((a) => a.label)).toEqual(['keys.b']);
  fireEvent.keyDown(window, { key: 'B' });
  fireEvent.keyDown(window, { key: 'b', ctrlKey: true });
  const field = render(<input aria-label="typed" />).getByLabelText('typed');
  fireEvent.keyDown(field, { key: 'b' });
  expect(run).toHaveBeenCalledTimes(1);
  page.unmount();
  expect(renderHook(() => useActionsHere()).result.current).toEqual([]);
});

test('letters can be turned off: then only other keys do something, and no button shows a letter', () => {
  const [letter, other] = [vi.fn(), vi.fn()];
  renderHook(() =>
    useActions([
      { keys: ['b'], label: 'keys.b', run: letter },
      { keys: ['Escape'], label: 'keys.boardLeave', run: other },
    ]),
  );
  const setting = renderHook(() => useLetterKeys());
  const hint = render(<Kbd of="B" />);
  expect(hint.container.textContent).toBe('B');
  act(() => setting.result.current[1](false));
  expect(hint.container.textContent).toBe('');
  fireEvent.keyDown(window, { key: 'b' });
  fireEvent.keyDown(window, { key: 'Escape' });
  expect([letter.mock.calls.length, other.mock.calls.length]).toEqual([0, 1]);
});
