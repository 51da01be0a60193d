import { cleanup, render } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { ErrorBoundary } from './ErrorBoundary';

afterEach(cleanup);

function Broken(): never {
  throw new Error('broken');
}

test('a page that fails leaves a sentence and a way on, and the next page is shown', () => {
  const quiet = vi.spyOn(console, 'error').mockImplementation(() => undefined);
  const page = render(
    <ErrorBoundary at="/broken">
      <Broken />
    </ErrorBoundary>,
  );
  expect(page.getByRole('alert').textContent).toContain('could not be shown');
  page.rerender(
    <ErrorBoundary at="/next">
      <p>next</p>
    </ErrorBoundary>,
  );
  expect(page.container.textContent).toBe('next');
  quiet.mockRestore();
});
