import type { ReactNode } from 'react';

interface Props {
  /** The school's: A4 or Letter. */
  paper: string;
  /** A3 in place of the school's paper. */
  a3?: boolean;
  /** On its long edge. */
  wide?: boolean;
  children: ReactNode;
  label: string;
}

/** A page of paper to its edges, as it is printed; on the screen it is smaller where it does not fit. */
export function Leaf({ paper, a3 = false, wide = false, label, children }: Props) {
  const on = a3 ? 'a3' : paper.toLowerCase();
  return (
    <section className={`leaf leaf-${on}${wide ? '-wide' : ''}`} aria-label={label}>
      {children}
    </section>
  );
}
