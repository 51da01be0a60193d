import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { SchoolContext, type School, type Session } from '../session/session';
import type { Ladder } from './queries';
import { usePlaces } from './usePlaces';

const school = { id: 's', name: 'School', role: 'lead', today: '2026-11-24' } as School;
const rungs = ['a', 'b', 'c'].map((id) => ({ id, warnings: [] }));
const ladder = { id: 'l', rungs, draft: { version: 1 } } as unknown as Ladder;
const asked = vi.hoisted((): string[] => []);

/** The rung reads better at the last place, and brings a warning at the first. */
vi.mock('../api/client', async (original) => {
  const real = await original<typeof import('../api/client')>();
  const GET = (_: string, sent: { params: { path: { rungId: string } } }) => {
    asked.push(sent.params.path.rungId);
    const places = [
      { to: 0, warnings: 1, reading: 0 },
      { to: 1, warnings: 0, reading: 0 },
      { to: 2, warnings: 0, reading: 5 },
    ];
    return Promise.resolve({ data: { places, best: null }, response: new Response() });
  };
  return { ...real, client: { GET } };
});

afterEach(cleanup);

test('the marks answer for the rung that is carried, not for the one that was chosen before', async () => {
  const queries = new QueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={queries}>
      <SchoolContext value={{ session: { name: 'Maya', schools: [school] } as Session, school }}>
        {children}
      </SchoolContext>
    </QueryClientProvider>
  );
  const { result, rerender } = renderHook(({ id }: { id: string }) => usePlaces(ladder, id), {
    wrapper,
    initialProps: { id: 'a' },
  });
  await vi.waitFor(() => expect([...result.current.marks.keys()]).toEqual(['c']));
  // Another one is carried: nothing is said of it until its own answer is there.
  rerender({ id: 'b' });
  expect(result.current.marks.size).toBe(0);
  expect(result.current.answer).toBeUndefined();
  await vi.waitFor(() =>
    expect([...result.current.marks]).toEqual([
      ['a', 'bad'],
      ['c', 'good'],
    ]),
  );
  expect(asked).toEqual(['a', 'b']);
});
