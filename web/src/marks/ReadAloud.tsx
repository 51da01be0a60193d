import { useState } from 'react';
import { text, textOf } from '../text/text';
import { made, slot } from './marking';
import type { WayProps } from './ways';

/** How each child read the word; where it was wrong or helped, at which grapheme. */
export function ReadAloud({ view, word, all, mark }: WayProps) {
  const [asks, setAsks] = useState<{ child: string; seen: 'helped' | 'wrong' } | null>(null);
  return (
    <>
      <p className="quiet mb-2">{text('marks.readHow')}</p>
      <ul className="mark-readers list-unstyled">
        {view.children.map((child) => {
          const seen = word.graphemes.map((_, i) => all.get(slot(child.id, word.word, i, 'reading')));
          const is = seen.includes('wrong')
            ? 'wrong'
            : seen.includes('helped')
              ? 'helped'
              : seen.includes('slow')
                ? 'slow'
                : seen.includes('right')
                  ? 'right'
                  : null;
          return (
            <li key={child.id}>
              <span>
                {child.name} {child.isAway && <span className="quiet small">{text('marks.away')}</span>}
              </span>
              <span className="d-flex flex-wrap gap-1" role="group" aria-label={child.name}>
                {(['right', 'slow', 'helped', 'wrong'] as const).map((how) => (
                  <button
                    key={how}
                    type="button"
                    disabled={child.isAway}
                    aria-pressed={is === how}
                    onClick={() => {
                      mark(made('read', word.word, { childId: child.id, seen: how }));
                      setAsks(how === 'helped' || how === 'wrong' ? { child: child.id, seen: how } : null);
                    }}
                  >
                    {textOf('marks.read', how)}
                  </button>
                ))}
              </span>
              {asks?.child === child.id && (
                <span className="mark-graphemes literacy" role="group" aria-label={text('marks.where')}>
                  {word.graphemes.map((g, place) => (
                    <button
                      key={`${g}${place}`}
                      type="button"
                      onClick={() => {
                        mark(made('read', word.word, { childId: child.id, seen: asks.seen, place }));
                        setAsks(null);
                      }}
                    >
                      {g}
                    </button>
                  ))}
                </span>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}
