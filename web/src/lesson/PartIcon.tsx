import type { Schemas } from '../api/client';

const PATHS: Record<Schemas['PartKind'], string> = {
  revisit: 'M4 9a6 6 0 1 1 1.8 4.3M4 4v5h5',
  teach: 'M10 3v4M10 17a4 4 0 0 1-2-7.500V7h4v2.500A4 4 0 0 1 10 17M3 10h2M15 10h2',
  practise: 'M4 16l1-4 8-8 3 3-8 8zM11 6l3 3',
  apply: 'M10 5c-2-1.500-4-1.500-7-1v11c3-.500 5-.500 7 1 2-1.500 4-1.500 7-1V4c-3-.500-5-.500-7 1zM10 5v11',
};

/** A part's icon; always beside its word. */
export function PartIcon({ part }: { part: Schemas['PartKind'] }) {
  return (
    <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true" focusable="false">
      <path
        d={PATHS[part]}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.600"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}
