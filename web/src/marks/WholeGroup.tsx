import { Button } from 'react-bootstrap';
import { text, textOf } from '../text/text';
import { made, slot } from './marking';
import type { WayProps } from './ways';

/** How many had the word, for who can't look at each: it says something of the group, and nothing of a child. */
export function WholeGroup({ word, all, mark, next }: WayProps) {
  const seen = all.get(slot(null, word.word, 0, 'spelling'));
  return (
    <>
      <p className="quiet mb-2">{text('marks.groupHow')}</p>
      <div className="d-grid gap-2 mark-share">
        {(['nearly-all', 'half', 'few'] as const).map((share) => (
          <Button
            key={share}
            size="lg"
            variant={seen === share ? 'primary' : 'outline-primary'}
            aria-pressed={seen === share}
            onClick={() => {
              mark(made('group', word.word, { seen: share }));
              next();
            }}
          >
            {textOf('marks.share', share)}
          </Button>
        ))}
      </div>
    </>
  );
}
