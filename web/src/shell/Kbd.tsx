import { isLetter, useLetterKeys } from './actions';

/** The key of a button; not shown where letters are no keys. */
export function Kbd({ of }: { of: string }) {
  const [on] = useLetterKeys();
  return on || !isLetter(of) ? <kbd>{of}</kbd> : null;
}
