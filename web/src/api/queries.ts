import { MutationCache, QueryCache, QueryClient } from '@tanstack/react-query';
import { sessionEnded } from '../session/ended';
import { ApiProblem, forgetToken } from './client';

const BUSY = 503;
const TRIES = 3;
const isBusy = (problem: Error) => problem instanceof ApiProblem && problem.status === BUSY;

/** In one place for all screens: a session that ended asks for signing in again, a stale token is fetched anew. */
function noticed(problem: Error) {
  if (!(problem instanceof ApiProblem)) return;
  if (problem.code === 'signed-out') sessionEnded(true);
  if (problem.code === 'signed-out' || problem.code === 'stale-page') forgetToken();
}

/** Reading waits for a busy server and asks again; a change is sent again only by who made it. */
export function makeQueries(): QueryClient {
  return new QueryClient({
    queryCache: new QueryCache({ onError: noticed }),
    mutationCache: new MutationCache({ onError: noticed }),
    defaultOptions: {
      queries: {
        retry: (times, problem) => isBusy(problem) && times < TRIES,
        retryDelay: (times) => 1000 * (times + 1),
        refetchOnWindowFocus: false,
        networkMode: 'always',
      },
      mutations: { networkMode: 'always' },
    },
  });
}
