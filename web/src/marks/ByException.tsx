import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { text } from '../text/text';
import { made, ofChild } from './marking';
import type { WayProps } from './ways';

/** All right unless tapped: a child, then the grapheme that was wrong. */
export function ByException({ view, word, all, mark, next }: WayProps) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <>
      <p className="quiet mb-2">{text('marks.exceptionHow')}</p>
      <ul className="mark-children list-unstyled">
        {view.children.map((child) => {
          const seen = ofChild(all, child.id, word.word, word.graphemes.length);
          const wrong = seen.filter((s) => s !== null && s !== 'right').length;
          const isOpen = open === `${child.id}|${word.word}`;
          return (
            <li key={child.id} className={isOpen ? 'open' : undefined}>
              <button
                type="button"
                disabled={child.isAway}
                aria-expanded={isOpen}
                onClick={() => setOpen(isOpen ? null : `${child.id}|${word.word}`)}
              >
                {child.name}
                <span className="quiet small">
                  {child.isAway
                    ? text('marks.away')
                    : wrong > 0
                      ? word.graphemes.filter((_, i) => seen[i] && seen[i] !== 'right').join(' ')
                      : seen.some((s) => s !== null)
                        ? '✓'
                        : ''}
                </span>
              </button>
              {isOpen && (
                <div className="mark-graphemes literacy" role="group" aria-label={child.name}>
                  {word.graphemes.map((g, place) => {
                    const isWrong = seen[place] !== null && seen[place] !== 'right';
                    return (
                      <button
                        key={`${g}${place}`}
                        type="button"
                        aria-pressed={isWrong}
                        aria-label={text(isWrong ? 'marks.wasRight' : 'marks.wasWrong', { letters: g })}
                        onClick={() => mark(made(isWrong ? 'right' : 'miss', word.word, { childId: child.id, place }))}
                      >
                        {g}
                      </button>
                    );
                  })}
                </div>
              )}
            </li>
          );
        })}
      </ul>
      <Button
        className="mark-next"
        onClick={() => {
          mark(made('all-right', word.word));
          setOpen(null);
          next();
        }}
      >
        {text('marks.othersRight')}
      </Button>
    </>
  );
}
