import createClient from 'openapi-fetch';
import { askAgain } from '../session/asking';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];

/** What went wrong, as the server says it: a code, a sentence that says what to do, and anything more it sent. */
export class ApiProblem extends Error {
  constructor(
    readonly code: string,
    readonly status: number,
    whatToDo: string,
    readonly more: Record<string, unknown> = {},
  ) {
    super(whatToDo);
  }
}

const client = createClient<paths>({ baseUrl: '/', credentials: 'same-origin' });

let token: string | null = null;

/**
 * The antiforgery token belongs to who is signed in: forgotten at sign-in and sign-out, fetched again when next needed.
 */
export function forgetToken() {
  token = null;
}

/** Changes under way, as they were sent: one that asks who is at work is sent again. */
const sent = new Map<string, Request>();

client.use({
  async onRequest({ request, id }) {
    if (request.method === 'GET') return undefined;
    token ??= await fetchToken();
    request.headers.set('X-XSRF-TOKEN', token);
    sent.set(id, request.clone());
    return request;
  },
  async onResponse({ response, id }) {
    const again = sent.get(id);
    sent.delete(id);
    if (!again || response.status !== 403 || !(await isToConfirm(response))) return undefined;
    return (await askAgain()) ? fetch(again) : undefined;
  },
  onError({ id }) {
    sent.delete(id);
  },
});

async function isToConfirm(response: Response): Promise<boolean> {
  const problem = (await response
    .clone()
    .json()
    .catch(() => ({}))) as { type?: string };
  return problem.type === 'bold:confirm-first';
}

async function fetchToken(): Promise<string> {
  const answer = await fetch('/api/antiforgery');
  if (!answer.ok) throw new Error('No token.');
  return ((await answer.json()) as Schemas['AntiforgeryView']).token;
}

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The data of an answer, or an ApiProblem; a server that can't be reached is a problem with the code "offline". */
export async function answered<T>(request: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await request;
  } catch {
    throw new ApiProblem('offline', 0, '');
  }
  if (answer.response.ok) return answer.data as T;
  const problem = (answer.error ?? {}) as Schemas['ProblemDetails'] & Record<string, unknown>;
  throw new ApiProblem(
    (problem.type ?? '').replace('bold:', '') || 'went-wrong',
    answer.response.status,
    problem.detail ?? '',
    problem,
  );
}

export { client };
