import type { ReactNode } from 'react';
import { CloseButton } from 'react-bootstrap';

interface Props {
  children: ReactNode;
  /** What taking it off is called. */
  off: string;
  onOff: () => void;
}

/** One of several in a list, which can be taken off. */
export function Chip({ children, off, onOff }: Props) {
  return (
    <li className="border rounded-pill bg-white ps-3 pe-2 py-1 d-inline-flex align-items-center gap-1">
      {children}
      <CloseButton className="small" aria-label={off} onClick={onOff} />
    </li>
  );
}
