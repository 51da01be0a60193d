import { useSyncExternalStore } from 'react';

/** Whether this tab is locked: told once for all screens. */
let locked = false;
const listeners = new Set<() => void>();

export function setLocked(is: boolean) {
  if (locked === is) return;
  locked = is;
  for (const listener of listeners) listener();
}

export function useLocked(): boolean {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => locked,
  );
}
