import { useQuery } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { useActions } from '../shell/actions';
import { Kbd } from '../shell/Kbd';
import { Loading } from '../shell/Loading';
import { labelText, text, warningText } from '../text/text';
import { suggestionsQuery, type Ladder } from './queries';

type Move = Schemas['MoveView'];

/** The three moves that would make the ladder best, each taken with its number. */
export function Suggestions({ ladder, onTake }: { ladder: Ladder; onTake: (move: Move) => void }) {
  const { school } = useSchool();
  const moves = useQuery(suggestionsQuery(school.id, ladder));
  const take = (i: number) => () => moves.data?.[i] && onTake(moves.data[i]);
  useActions([
    { keys: ['1', '2', '3'], shown: '1 2 3', label: 'keys.take', run: (event) => take(Number(event.key) - 1)() },
  ]);
  return (
    <section className="suggestions">
      <h2>{text('suggest.title')}</h2>
      {moves.isPending && <Loading />}
      {moves.data?.length === 0 && <p className="quiet">{text('suggest.none')}</p>}
      <ol className="list-unstyled">
        {moves.data?.map((move, i) => (
          <li key={move.rungId} className="border-top py-2">
            <MoveReason move={move} />
            <Button size="sm" variant="outline-primary" onClick={() => onTake(move)}>
              {text('suggest.take')} <Kbd of={String(i + 1)} />
            </Button>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** Why a move is worth it, in a sentence or two. */
export function MoveReason({ move }: { move: Move }) {
  return (
    <div>
      <p className="mb-1">
        <strong>{text('suggest.move', { label: labelText(move.label), from: move.from, to: move.to })}</strong>{' '}
        {move.sooner.length > 0 && text('suggest.sooner', { words: move.sooner.join(', ') })}
      </p>
      {move.fixes.map((w, i) => (
        <p key={i} className="quiet small mb-1">
          {text('suggest.fixes')} {warningText(w)}
        </p>
      ))}
    </div>
  );
}

/** The best place for one rung, taken with M. */
export function BestPlace({ places, onTake }: { places: Schemas['PlacesView']; onTake: (move: Move) => void }) {
  const best = places.best;
  useActions([{ keys: ['m'], label: 'keys.m', run: () => best && onTake(best) }], best !== null);
  if (!best) return <p className="quiet">{text('suggest.stays')}</p>;
  return (
    <div className="bg-success-subtle rounded py-2 px-3 mb-2">
      <MoveReason move={best} />
      <Button size="sm" variant="outline-primary" onClick={() => onTake(best)}>
        {text('suggest.tryMove')} <Kbd of="M" />
      </Button>
    </div>
  );
}
