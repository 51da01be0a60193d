import { QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { makeQueries } from '../api/queries';
import { ApiProblem } from '../api/client';
import { sessionEnded } from './ended';
import { RequireSession } from './RequireSession';

const school = {
  id: '00000000-0000-7000-8000-000000000001',
  name: 'One',
  role: 'lead',
  today: '2026-11-24',
  accent: 'southern-british',
  language: 'en-GB',
  paperSize: 'A4',
};
const style = {
  accent: 'southern-british',
  style: {
    labels: {},
    soundLabels: 'ipa',
    counting: 'taps',
    marks: { style: 'trays', shape: 'round', weight: 2 },
    lettering: { oneStorey: true, lines: [] },
  },
  sounds: [],
};
let session: unknown = null;

let address: { schoolId: string | null } = { schoolId: school.id };
const entered: string[] = [];
vi.mock('./SchoolRouter', () => ({
  useSchoolAddress: () => ({ ...address, enter: (id: string, path: string) => entered.push(`${id} ${path}`) }),
}));

vi.mock('../api/client', async (original) => {
  const real = await original<typeof import('../api/client')>();
  const GET = (path: string) =>
    Promise.resolve({ data: path.endsWith('/style') ? style : session, response: new Response() });
  return { ...real, client: { GET } };
});

beforeEach(() => {
  session = { name: 'Ann', schools: [school] };
  sessionEnded(false);
  address = { schoolId: school.id };
  entered.length = 0;
});

afterEach(cleanup);

async function shown(until = /typed/) {
  const queries = makeQueries();
  const page = render(
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={['/here']}>
        <Routes>
          <Route element={<RequireSession />}>
            <Route path="/here" element={<input aria-label="typed" />} />
          </Route>
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  await vi.waitFor(() => expect(page.container.innerHTML).toMatch(until));
  return { queries, page };
}

test('a session that ends under way covers the page and keeps what was typed', async () => {
  const { queries, page } = await shown();
  const field = page.getByLabelText('typed') as HTMLInputElement;
  field.value = 'half a sentence';
  await act(() =>
    queries
      .fetchQuery({
        queryKey: ['x'],
        retry: false,
        queryFn: () => {
          throw new ApiProblem('signed-out', 401, 'You are not signed in.');
        },
      })
      .catch(() => undefined),
  );
  await vi.waitFor(() => expect(document.body.textContent).toContain('Sign in again'));
  expect(page.getByLabelText('typed')).toBe(field);
  expect(field.value).toBe('half a sentence');
});

test('a session that ended in another tab is noticed when this one is looked at again', async () => {
  const { queries, page } = await shown();
  session = null;
  await act(() => queries.refetchQueries({ queryKey: ['session'] }));
  await vi.waitFor(() => expect(document.body.textContent).toContain('Sign in again'));
  expect(page.getByLabelText('typed')).toBeDefined();
});

test('who was never signed in is sent to sign in', async () => {
  session = null;
  const gone = vi.spyOn(window.location, 'assign').mockImplementation(() => undefined);
  await shown(/Loading/);
  await vi.waitFor(() => expect(gone).toHaveBeenCalledWith(expect.stringMatching(/^\/sign-in(\?from=|$)/)));
  gone.mockRestore();
});

test('someone of two schools chooses, and goes on to the page that was asked for', async () => {
  const second = { ...school, id: '00000000-0000-7000-8000-000000000002', name: 'Two' };
  session = { name: 'Ann', schools: [school, second] };
  address = { schoolId: null };
  const { page } = await shown(/Which school/);
  act(() => page.getByRole('button', { name: 'Two' }).click());
  expect(entered).toEqual([`${second.id} /here`]);
});

test('someone of one school goes straight in, and a school of others is told so', async () => {
  address = { schoolId: null };
  await shown(/Loading/);
  await vi.waitFor(() => expect(entered).toEqual([`${school.id} /here`]));
  cleanup();
  address = { schoolId: '00000000-0000-7000-8000-000000000009' };
  const { page } = await shown(/Which school/);
  await vi.waitFor(() => expect(page.container.textContent).toContain('don’t belong to the school of this address'));
});
