import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { ItemShown } from '../lesson/ItemShown';
import { Picture } from '../lesson/Picture';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, text, textOf } from '../text/text';
import { gatheringQuery } from './queries';
import { Cards, type CardSet } from './Cards';

type Gathered = Schemas['GatheringView'];

/** The exact cards, tiles and sheets for a day or five days, and printing them. */
export function GatherPage() {
  const { school } = useSchool();
  const { groupId = '', date = '' } = useParams();
  const [params] = useSearchParams();
  const days = params.get('days') === '5' ? 5 : 1;
  const gathered = useQuery(gatheringQuery(school.id, groupId, date, days));
  if (gathered.isPending) return <Loading />;
  if (gathered.error) return <ErrorNote problem={gathered.error} retry={() => void gathered.refetch()} />;
  return <Gather view={gathered.data} days={days} groupId={groupId} />;
}

function Gather({ view, days, groupId }: { view: Gathered; days: number; groupId: string }) {
  const [printing, setPrinting] = useState<CardSet | null>(null);
  const title = text('gather.title', { group: view.groupName });
  usePageTitle(title);
  useEffect(() => {
    document.documentElement.classList.add('printing');
    return () => document.documentElement.classList.remove('printing');
  }, []);
  const g = view.gathering;
  if (printing) return <Cards set={printing} onBack={() => setPrinting(null)} />;
  const sets: CardSet[] = [
    { kind: 'grapheme', cards: g.cards.map((c) => ({ key: c.correspondence, word: c.grapheme })) },
    { kind: 'word', cards: g.words.map((w) => ({ key: w.word, word: w.word, marks: w.marks })) },
    { kind: 'tricky', cards: g.tricky.map((w) => ({ key: w.word, word: w.word, marks: w.marks, tricky: w.tricky })) },
    { kind: 'picture', cards: g.pictures.map((p) => ({ key: p, picture: p })) },
  ];
  const names = {
    grapheme: 'gather.cards',
    word: 'gather.words',
    tricky: 'gather.tricky',
    picture: 'gather.pictures',
  } as const;
  return (
    <>
      <div className="d-lg-flex justify-content-between align-items-end gap-4 mb-3">
        <div>
          <h1>{title}</h1>
          <p className="quiet mb-0">
            {text('gather.for', {
              count: view.lessons,
              from: days === 1 ? dayText(view.from) : `${dayText(view.from)} – ${dayText(view.to)}`,
            })}
          </p>
        </div>
        <div className="no-print d-flex flex-wrap align-items-center gap-2">
          <Link
            className={`btn btn-sm btn-outline-primary${days === 1 ? ' active' : ''}`}
            to={`/groups/${groupId}/gather/${view.from}`}
          >
            {text('gather.day')}
          </Link>
          <Link
            className={`btn btn-sm btn-outline-primary${days === 5 ? ' active' : ''}`}
            to={`/groups/${groupId}/gather/${view.from}?days=5`}
          >
            {text('gather.week')}
          </Link>
          <Button size="sm" onClick={() => window.print()}>
            {text('gather.printList')}
          </Button>
          <Link to={`/groups/${groupId}/lessons/${view.from}`}>← {text('gather.back')}</Link>
        </div>
      </div>
      {view.lessons > 0 && (
        <div className="gather d-grid gap-2">
          {sets.map((set) => (
            <section key={set.kind} className="panel">
              <header className="d-flex justify-content-between align-items-center">
                <h2>{text(names[set.kind])}</h2>
                {set.cards.length > 0 && (
                  <Button className="no-print" size="sm" variant="outline-primary" onClick={() => setPrinting(set)}>
                    {text('gather.printCards')}
                  </Button>
                )}
              </header>
              {set.cards.length === 0 ? (
                <p className="quiet">{text('gather.none')}</p>
              ) : (
                <p className="d-flex fs-4 mt-2 mb-0 flex-wrap row-gap-2 column-gap-4 literacy">
                  {set.cards.map((c) => (
                    <span key={c.key}>{c.picture ? <Picture name={c.picture} size={40} /> : c.word}</span>
                  ))}
                </p>
              )}
            </section>
          ))}
          <section className="panel">
            <h2>{text('gather.tiles')}</h2>
            {g.tiles.length === 0 ? (
              <p className="quiet">{text('gather.none')}</p>
            ) : (
              <p className="d-flex fs-4 mt-2 mb-0 flex-wrap row-gap-2 column-gap-4 literacy">
                {g.tiles.map((t) => (
                  <span key={t.grapheme}>
                    {t.count > 1 ? text('gather.copies', { what: t.grapheme, count: t.count }) : t.grapheme}
                  </span>
                ))}
              </p>
            )}
          </section>
          {g.sheets.map((sheet) => (
            <section key={sheet.activityId + sheet.item.id} className="panel">
              <h2>
                {text('gather.sheets')}: {textOf('activity', sheet.kind)}
              </h2>
              <ItemShown item={sheet.item} kind={sheet.kind} print />
            </section>
          ))}
        </div>
      )}
    </>
  );
}
