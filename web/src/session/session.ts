import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { answered, client, forgetToken, type Schemas } from '../api/client';

export type Session = Schemas['SessionView'];
export type School = Schemas['SessionSchool'];

export const SchoolContext = createContext<{ session: Session; school: School } | null>(null);

/** Who is signed in and the school that the screens show; only inside RequireSession. */
export function useSchool() {
  const value = useContext(SchoolContext);
  if (!value) throw new Error('No school here.');
  return value;
}

export function useSession() {
  return useQuery({ queryKey: ['session'], queryFn: async (): Promise<Session | null> => (await answered(client.GET('/api/session'))) ?? null, staleTime: Infinity });
}

export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: Schemas['SignInRequest']) => {
      forgetToken();
      const session = await answered(client.POST('/api/session', { body }));
      forgetToken();
      return session;
    },
    onSuccess: (session) => queries.setQueryData(['session'], session),
  });
}

export function useSignOut() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => answered(client.DELETE('/api/session')),
    onSuccess: () => {
      forgetToken();
      queries.clear();
    },
  });
}
