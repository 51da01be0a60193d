import { useSyncExternalStore } from 'react';

/** As wide as Bootstrap's "md" begins: below it is a phone in the hand. */
const NARROW = '(max-width: 767px)';

/** True on a phone, where what is used less goes into a menu. */
export function useNarrow(): boolean {
  return useSyncExternalStore(
    (changed) => {
      const query = window.matchMedia(NARROW);
      query.addEventListener('change', changed);
      return () => query.removeEventListener('change', changed);
    },
    () => window.matchMedia(NARROW).matches,
  );
}
