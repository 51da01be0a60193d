import type { CSSProperties } from 'react';
import type { Schemas } from '../api/client';

/** The two colours of a part, for what is inside: --part, and --part-deep for edges. */
export const partColours = (part: Schemas['PartKind']) =>
  ({ '--part': `var(--${part})`, '--part-deep': `var(--${part}-deep)` }) as CSSProperties;
