import { useQuery } from '@tanstack/react-query';
import { Fragment } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { mayChange } from '../people/roles';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { useActions } from '../shell/actions';
import { Kbd } from '../shell/Kbd';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, labelText, text, textOf } from '../text/text';
import { shown } from '../words/spelling';
import { useBox } from './BoxButton';
import { Choice } from './Choice';
import { useChoices } from './choices';
import { LessonPackShown } from './LessonPackShown';
import { usePrinting } from './PrintingPage';
import { packQuery, type CardKind } from './queries';

const SIZES = ['hand', 'table', 'wall'] as const;
const KINDS = ['graphemes', 'words', 'tricky', 'pictures'] as const satisfies readonly CardKind[];

/** What all my groups still need on paper for a week, in the order of its days; what is in the box is left out. */
export function WeekPackPage() {
  const { school } = useSchool();
  const { date = '' } = useParams();
  const { params, choose, oneOf } = useChoices();
  const size = oneOf('size', SIZES);
  const group = params.get('group') ?? undefined;
  const pack = useQuery(packQuery(school.id, date, size, group));
  usePageTitle(text('pack.title', { date: dayText(date) }));
  usePrinting();
  useActions([{ keys: ['p'], label: 'keys.printPage', run: () => window.print() }]);
  if (pack.isPending) return <Loading />;
  if (pack.error) return <ErrorNote problem={pack.error} retry={() => void pack.refetch()} />;
  const view = pack.data;
  const cards = view.parts.reduce((sum, p) => sum + p.pack.cards.length, 0);
  const sheets = view.parts.reduce((sum, p) => sum + p.pack.sheets.length, 0);
  const pages = view.parts.reduce((sum, p) => sum + p.pack.sides.length, 0) + sheets;
  const boxed = view.inTheBox.reduce((sum, b) => sum + b.keys.length, 0);
  return (
    <>
      <div className="no-print">
        <div className="d-lg-flex justify-content-between align-items-end gap-4 mb-3">
          <div>
            <h1>{text('pack.title', { date: dayText(view.from) })}</h1>
            <p className="mb-0" role="status">
              {text('pack.count', { cards, sheets, pages })} {boxed > 0 && text('pack.inBox', { count: boxed })}
            </p>
          </div>
          <Link to={`/week/${view.from}`}>← {text('nav.week')}</Link>
        </div>
        {view.unplanned.length > 0 && (
          <div className="alert alert-warning py-2" role="status">
            {text('pack.unplanned', { count: view.unplanned.length })}{' '}
            {view.unplanned.map((u) => `${u.groupName}, ${dayText(u.date)}`).join(' · ')}
          </div>
        )}
        <div className="d-flex flex-wrap align-items-end gap-3 mb-3">
          <Choice
            id="pack-size"
            label={text('cards.size')}
            value={size}
            options={SIZES}
            name={(s) => textOf('cardSize', s)}
            onChoose={(s) => choose({ size: s })}
          />
          {pages > 0 && (
            <Button onClick={() => window.print()}>
              {text('pack.print')} <Kbd of="P" />
            </Button>
          )}
        </div>
        {view.parts.map((part) => (
          <PartList key={part.groupId + part.date} part={part} />
        ))}
        {boxed > 0 && (
          <section className="panel mb-2">
            <h2 className="fs-5">{text('box.in')}</h2>
            {view.inTheBox.map((b) => (
              <BoxTicks key={b.kind} id="in" kind={b.kind} keys={b.keys} owned />
            ))}
          </section>
        )}
      </div>
      <div className="print-only">
        {view.parts.map((part) => (
          <Fragment key={part.groupId + part.date}>
            <LessonPackShown paper={school.paperSize} pack={part.pack} groupName={part.groupName} date={part.date} />
          </Fragment>
        ))}
      </div>
    </>
  );
}

/** What one lesson still needs; a tick puts a card in the box. */
function PartList({ part }: { part: Schemas['PackPart'] }) {
  const { cards, sheets } = part.pack;
  return (
    <section className="panel mb-2">
      <h2 className="fs-5">
        {dayText(part.date)} · {part.groupName} · <span className="literacy">{labelText(part.rungLabel)}</span>
      </h2>
      {cards.length + sheets.length === 0 && <p className="quiet mb-0">{text('pack.nothing')}</p>}
      {KINDS.map((kind) => {
        const own = cards.filter((c) => c.kind === kind);
        return (
          own.length > 0 && (
            <BoxTicks key={kind} id={part.groupId + part.date} kind={kind} keys={own.map((c) => c.key)} owned={false} />
          )
        );
      })}
      {sheets.length > 0 && (
        <p className="mb-0 mt-1">
          <span className="quiet">{text('pack.sheets')}:</span> {sheets.map((s) => textOf('sheet', s.kind)).join(', ')}
        </p>
      )}
    </section>
  );
}

interface TicksProps {
  /** Tells the same card of two lessons apart. */
  id: string;
  kind: CardKind;
  keys: readonly string[];
  owned: boolean;
}

/** Cards of one sort with a tick for each that lies in the box. */
function BoxTicks({ id, kind, keys, owned }: TicksProps) {
  const { school } = useSchool();
  const { change } = useBox();
  const mayTick = mayChange(school.role) && !change.isPending;
  const put = (some: readonly string[]) => change.mutate({ kind, keys: [...some], owned: !owned });
  return (
    <fieldset className="d-flex flex-wrap column-gap-3 align-items-center">
      <legend className="fs-6 quiet mb-0">{textOf('cardKind', kind)}</legend>
      {keys.map((card) => (
        <Form.Check
          key={card}
          type="checkbox"
          id={`box-${id}-${kind}-${card}`}
          label={<span className="literacy">{shown(card)}</span>}
          title={text(owned ? 'box.untick' : 'box.tick')}
          checked={owned}
          disabled={!mayTick}
          onChange={() => put([card])}
        />
      ))}
      {!owned && keys.length > 1 && mayChange(school.role) && (
        <Button variant="link" size="sm" className="p-0" disabled={!mayTick} onClick={() => put(keys)}>
          {text('box.all')}
        </Button>
      )}
    </fieldset>
  );
}
