import { useSyncExternalStore } from 'react';

/**
 * A change that asks once more who is at work: it waits here until the dialog (AskAgain) was answered. Told once for
 * all screens, whatever was changed.
 */
let waiting: ((confirmed: boolean) => void) | null = null;
const listeners = new Set<() => void>();

function set(next: typeof waiting) {
  waiting = next;
  for (const listener of listeners) listener();
}

/** True once the person has shown who they are; false when they would rather not. */
export function askAgain(): Promise<boolean> {
  waiting?.(false);
  return new Promise((resolve) =>
    set((confirmed) => {
      set(null);
      resolve(confirmed);
    }),
  );
}

/** What to call with the answer; null while nothing is asked. */
export function useAsking() {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => waiting,
  );
}
