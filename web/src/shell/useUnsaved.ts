import { useEffect } from 'react';

/** Asks before the page is closed or reloaded while something that was typed has not been saved. */
export function useUnsaved(isUnsaved: boolean) {
  useEffect(() => {
    if (!isUnsaved) return undefined;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [isUnsaved]);
}
