import { useMutation } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Outlet } from 'react-router';
import { answered, client } from '../api/client';
import { setLocked } from './locked';

const QUIET = 10 * 60_000;
const SIGNS = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const;

/** Locks this tab at once, and its session on the server, which opens nothing from then on. */
export function useLock() {
  return useMutation({
    mutationFn: () => {
      // What is seen is covered first, whatever becomes of the request.
      setLocked(true);
      return answered(client.POST('/api/account/lock'));
    },
  }).mutate;
}

/** Pages with children: they lock when nobody has touched anything for ten minutes. */
export function QuietLock() {
  const lock = useLock();
  useEffect(() => {
    let timer = 0;
    const anew = () => {
      window.clearTimeout(timer);
      timer = window.setTimeout(() => lock(), QUIET);
    };
    anew();
    for (const sign of SIGNS) window.addEventListener(sign, anew, { passive: true });
    return () => {
      window.clearTimeout(timer);
      for (const sign of SIGNS) window.removeEventListener(sign, anew);
    };
  }, [lock]);
  return <Outlet />;
}
