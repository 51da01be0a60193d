import { answered, client, forgetToken, type Schemas } from '../api/client';
import { sessionEnded } from './ended';

/** Where someone comes from who has to sign in first: only an address of ours. */
export const FROM = 'from';

/** Signs in; the antiforgery token is another one before and after. */
export async function signIn(body: Schemas['SignInRequest']): Promise<Schemas['SessionView']> {
  forgetToken();
  const session = await answered(client.POST('/api/session', { body }));
  forgetToken();
  sessionEnded(false);
  return session;
}

/** Goes to the sign-in page and comes back. Everything is fetched anew, so nothing of the one before is left. */
export function goSignIn(from?: string) {
  window.location.assign(
    from && from !== '/' ? `/sign-in?${new URLSearchParams({ [FROM]: from }).toString()}` : '/sign-in',
  );
}

/** The address to go on to after signing in. */
export function addressFrom(search: string): string {
  const from = new URLSearchParams(search).get(FROM) ?? '/';
  return /^\/(?![/\\])/.test(from) ? from : '/';
}
