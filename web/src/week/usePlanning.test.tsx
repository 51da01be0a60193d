import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { SchoolContext, type School, type Session } from '../session/session';
import { usePlanning } from './usePlanning';

const school = {
  id: 's',
  name: 'School',
  role: 'lead',
  today: '2026-11-24',
  accent: 'southern-british',
  language: 'en-GB',
  paperSize: 'A4',
} as School;
const wrapper = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>
    <SchoolContext value={{ session: { name: 'Maya', schools: [school] } as Session, school }}>
      {children}
    </SchoolContext>
  </QueryClientProvider>
);

const place = (date: string, name = 'Otters') => ({
  groupId: name,
  name,
  date,
  lessonId: `${name}-${date}`,
  version: 3,
});

const asked = vi.hoisted((): string[] => []);

/** Answers like the server: a lesson, or for Badgers that there is nothing left to teach. */
vi.mock('../api/client', async (original) => {
  const real = await original<typeof import('../api/client')>();
  type Sent = {
    params: { path: { groupId?: string; date?: string; lessonId?: string }; header?: Record<string, string> };
    body?: { type: string };
  };
  const answer = (method: string) => async (_: string, sent: Sent) => {
    asked.push(
      [
        method,
        sent.params.path.lessonId ?? sent.params.path.groupId,
        sent.params.path.date,
        sent.params.header?.['If-Match'],
        sent.body?.type,
      ]
        .filter(Boolean)
        .join(' '),
    );
    return sent.params.path.groupId === 'Badgers'
      ? {
          error: { type: 'bold:ladder-climbed', detail: 'Every rung was taught.' },
          response: new Response(null, { status: 409 }),
        }
      : { data: {}, response: new Response() };
  };
  return { ...real, client: { PUT: answer('PUT'), POST: answer('POST') } };
});

describe('planning a week', () => {
  beforeEach(() => {
    asked.length = 0;
  });
  afterEach(cleanup);

  it('goes by date, one lesson after another', async () => {
    const { result } = renderHook(usePlanning, { wrapper });
    await act(() => result.current.plan([place('2026-11-26'), place('2026-11-24'), place('2026-11-25')]));
    expect(asked).toEqual(['PUT Otters 2026-11-24', 'PUT Otters 2026-11-25', 'PUT Otters 2026-11-26']);
    expect(result.current.job).toBeNull();
    expect(result.current.failed).toEqual([]);
  });

  it('says what failed and goes on with the rest', async () => {
    const { result } = renderHook(usePlanning, { wrapper });
    await act(() => result.current.plan([place('2026-11-24', 'Badgers'), place('2026-11-25')]));
    expect(asked).toHaveLength(2);
    expect(result.current.failed).toEqual(['Badgers, Tuesday 24 November: Every rung was taught.']);
  });

  it('names the version that it mends', async () => {
    const { result } = renderHook(usePlanning, { wrapper });
    await act(() => result.current.change([place('2026-11-24')], 'repair'));
    expect(asked).toEqual(['POST Otters-2026-11-24 3 repair']);
  });

  it('stops where it is told to', async () => {
    const { result } = renderHook(usePlanning, { wrapper });
    await act(async () => {
      const running = result.current.plan([place('2026-11-24'), place('2026-11-25'), place('2026-11-26')]);
      result.current.stop();
      await running;
    });
    expect(asked.length).toBeLessThan(3);
  });
});
