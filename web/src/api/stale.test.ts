import { QueryClient } from '@tanstack/react-query';
import { expect, it } from 'vitest';
import { nowStale, STALE } from './stale';

const sources = import.meta.glob<string>('../**/queries.ts', { query: '?raw', import: 'default', eager: true });

it('names only what screens ask for', () => {
  const asked = new Set(
    Object.values(sources).flatMap((s) => [...s.matchAll(/queryKey: \['([a-z-]+)'/g)].map((m) => m[1])),
  );
  expect(asked.size).toBeGreaterThan(20);
  expect(
    Object.values(STALE)
      .flat()
      .filter((what) => !asked.has(what)),
  ).toEqual([]);
});

it('asks again for what a change made old, at this school only', async () => {
  const queries = new QueryClient();
  for (const key of [['groups', 'a'], ['groups', 'b'], ['mat', 'a'], ['session'], ['style', 'a']])
    queries.setQueryData(key, 'known');
  const stale = () =>
    queries
      .getQueryCache()
      .findAll({ predicate: (q) => q.state.isInvalidated })
      .map((q) => q.queryKey);
  await nowStale(queries, 'a', 'lesson');
  expect(stale()).toEqual([['groups', 'a']]);
  await nowStale(queries, 'a', 'settings');
  expect(stale()).toEqual([
    ['groups', 'a'],
    ['groups', 'b'],
    ['mat', 'a'],
  ]);
});
