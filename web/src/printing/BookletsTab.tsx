import { useQuery } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { text, textOf } from '../text/text';
import { BookPageShown } from './BookPageShown';
import { Choice } from './Choice';
import { useChoices } from './choices';
import { Leaf } from './Leaf';
import { bookletQuery, type Booklet, type Day } from './queries';
import { LeftOutNote } from './TypedWords';

const KINDS = ['little-book', 'tricky', 'sounds'] as const;

/** Booklets to fold, as their sheets are printed. */
export function BookletsTab({ day }: { day: Day }) {
  const { params, choose, oneOf } = useChoices();
  const kind = oneOf('booklet', KINDS);
  const seed = Number(params.get('seed') ?? 0);
  const made = useQuery(bookletQuery(day, kind, seed));
  return (
    <>
      <div className="no-print d-flex flex-wrap align-items-end gap-3 mb-3">
        <Choice
          id="booklet-kind"
          label={text('booklet.which')}
          value={kind}
          options={KINDS}
          name={(k) => textOf('booklet', k)}
          onChoose={(k) => choose({ booklet: k, seed: null })}
        />
        {kind === 'little-book' && (
          <Button variant="outline-secondary" onClick={() => choose({ seed: String(seed + 1) })}>
            {text('booklet.other')}
          </Button>
        )}
        {made.data && <Button onClick={() => window.print()}>{text('gather.print')}</Button>}
      </div>
      {made.isPending && <Loading />}
      {made.error && <ErrorNote problem={made.error} retry={() => void made.refetch()} />}
      {made.data && (
        <>
          <LeftOutNote leftOut={made.data.booklet.leftOut.map((what) => ({ what, why: 'oldest' }))} />
          <p className="no-print">{textOf('folding', made.data.booklet.folding)}</p>
          <Folded booklet={made.data.booklet} groupName={made.data.groupName} />
        </>
      )}
    </>
  );
}

/** The printed sides, each page where it comes to lie when they are folded. */
export function Folded({ booklet, groupName }: { booklet: Booklet; groupName: string }) {
  const { school } = useSchool();
  return (
    <div className="leaves">
      {booklet.sides.map((side, i) => (
        <Leaf key={i} paper={school.paperSize} wide label={text('booklet.side', { at: i + 1 })}>
          <div
            className={`folded folded-${booklet.folding}`}
            style={{
              gridTemplateColumns: `repeat(${side.columns}, 1fr)`,
              gridTemplateRows: `repeat(${side.rows}, 1fr)`,
            }}
          >
            {side.pages.map((placed) => (
              <div key={placed.page} className={`book-page${placed.turned ? ' book-turned' : ''}`}>
                <BookPageShown page={booklet.pages[placed.page]!} booklet={booklet} groupName={groupName} />
                {placed.page > 0 && placed.page < booklet.pages.length - 1 && <small>{placed.page}</small>}
              </div>
            ))}
          </div>
        </Leaf>
      ))}
    </div>
  );
}
