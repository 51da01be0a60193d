import { useSyncExternalStore } from 'react';

/**
 * Whether a request was answered "not signed in" since the last sign-in: told once for all screens, wherever it
 * happened.
 */
let ended = false;
const listeners = new Set<() => void>();

export function sessionEnded(is: boolean) {
  if (ended === is) return;
  ended = is;
  for (const listener of listeners) listener();
}

export function useSessionEnded(): boolean {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => ended,
  );
}
