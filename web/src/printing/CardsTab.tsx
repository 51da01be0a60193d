import { useQuery } from '@tanstack/react-query';
import { Button, Form } from 'react-bootstrap';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { text, textOf } from '../text/text';
import { BoxButton } from './BoxButton';
import { CardSides } from './CardSides';
import { Choice } from './Choice';
import { useChoices } from './choices';
import { cardsQuery, type Day } from './queries';
import { LeftOutNote, TypedWords } from './TypedWords';

const KINDS = ['graphemes', 'words', 'tricky', 'pictures', 'sounds', 'tiles'] as const;
const SOURCES = ['lesson', 'week', 'taught', 'words'] as const;
const SIZES = ['hand', 'table', 'wall', 'tile'] as const;

/** Cards: of what, for which lessons, how large; how many there are is said before they are printed. */
export function CardsTab({ day }: { day: Day }) {
  const { school } = useSchool();
  const { params, choose, oneOf } = useChoices();
  const kind = oneOf('kind', KINDS);
  // Only words can be typed.
  const sources = ['words', 'tricky', 'pictures'].includes(kind) ? SOURCES : SOURCES.filter((s) => s !== 'words');
  const source = oneOf('source', sources);
  const size = kind === 'tiles' ? 'tile' : oneOf('size', SIZES);
  const backs = !params.has('fronts');
  const ink = params.has('ink');
  const copies = Number(params.get('copies') ?? 1);
  const words = params.get('words') ?? '';
  const cards = useQuery({
    ...cardsQuery(day, { kind, source, size, backs, copies, ...(words && { words }) }),
    enabled: source !== 'words' || words !== '',
  });
  const view = cards.data;
  return (
    <>
      <div className="no-print d-flex flex-wrap align-items-end gap-3 mb-3">
        <Choice
          id="cards-kind"
          label={text('cards.kind')}
          value={kind}
          options={KINDS}
          name={(k) => textOf('cardKind', k)}
          onChoose={(k) => choose({ kind: k, source: null })}
        />
        <Choice
          id="cards-source"
          label={text('cards.source')}
          value={source}
          options={sources}
          name={(s) => textOf('cardSource', s)}
          onChoose={(s) => choose({ source: s })}
        />
        {kind === 'tiles' ? (
          <Form.Group controlId="cards-copies">
            <Form.Label className="quiet mb-1">{text('cards.copies')}</Form.Label>
            <Form.Control
              type="number"
              min={1}
              max={40}
              value={copies}
              onChange={(e) => choose({ copies: e.target.value })}
            />
          </Form.Group>
        ) : (
          <Choice
            id="cards-size"
            label={text('cards.size')}
            value={size}
            options={SIZES}
            name={(s) => textOf('cardSize', s)}
            onChoose={(s) => choose({ size: s })}
          />
        )}
        {kind !== 'tiles' && size !== 'wall' && (
          <Form.Check
            type="switch"
            id="cards-backs"
            label={text('cards.backs')}
            checked={backs}
            onChange={(e) => choose({ fronts: e.target.checked ? null : '1' })}
          />
        )}
        <Form.Check
          type="switch"
          id="cards-ink"
          label={text('cards.ink')}
          checked={ink}
          onChange={(e) => choose({ ink: e.target.checked ? '1' : null })}
        />
        {view && view.cards.length > 0 && <Button onClick={() => window.print()}>{text('gather.print')}</Button>}
      </div>
      {source === 'words' && <TypedWords words={words} onWords={(w) => choose({ words: w })} />}
      {cards.error && <ErrorNote problem={cards.error} retry={() => void cards.refetch()} />}
      {cards.isPending && cards.fetchStatus !== 'idle' && <Loading />}
      {view && (
        <>
          <LeftOutNote leftOut={view.leftOut} />
          <div className="no-print d-flex flex-wrap gap-3 align-items-center mb-3">
            <p className="mb-0" role="status">
              {text('cards.count', { cards: view.cards.length, sheets: sheetsOf(view.sides) })}{' '}
              {view.sides.some((s) => s.back) && text('cards.turn')}
            </p>
            {kind !== 'tiles' && view.cards.length > 0 && <BoxButton kind={kind} keys={view.cards.map((c) => c.key)} />}
          </div>
          <div className={ink ? 'ink-saving' : undefined}>
            <CardSides cards={view.cards} sides={view.sides} grid={view.grid} paper={school.paperSize} />
          </div>
        </>
      )}
    </>
  );
}

/** Sheets of paper: a front and its back are one. */
const sheetsOf = (sides: readonly { back: boolean }[]) => sides.filter((s) => !s.back).length;
