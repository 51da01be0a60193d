import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { Picture } from '../lesson/Picture';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, text, textOf } from '../text/text';
import type { CardKind } from '../printing/queries';
import { gatheringQuery } from './queries';

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
  const title = text('gather.title', { group: view.groupName });
  usePageTitle(title);
  useEffect(() => {
    document.documentElement.classList.add('printing');
    return () => document.documentElement.classList.remove('printing');
  }, []);
  const g = view.gathering;
  const sets: { kind: CardKind; cards: { key: string; word?: string; picture?: string }[] }[] = [
    { kind: 'graphemes', cards: g.cards.map((c) => ({ key: c.correspondence, word: c.grapheme })) },
    { kind: 'words', cards: g.words.map((w) => ({ key: w.word, word: w.word })) },
    { kind: 'tricky', cards: g.tricky.map((w) => ({ key: w.word, word: w.word })) },
    { kind: 'pictures', cards: g.pictures.map((p) => ({ key: p, picture: p })) },
  ];
  const names = {
    graphemes: 'gather.cards',
    words: 'gather.words',
    tricky: 'gather.tricky',
    pictures: 'gather.pictures',
    sounds: 'gather.cards',
    tiles: 'gather.tiles',
  } as const;
  const toPrint = (kind: CardKind) =>
    `/groups/${groupId}/printing/${view.from}/cards?kind=${kind}&source=${days === 5 ? 'week' : 'lesson'}`;
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
                  <Link className="no-print btn btn-sm btn-outline-primary" to={toPrint(set.kind)}>
                    {text('gather.printCards')}
                  </Link>
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
            <header className="d-flex justify-content-between align-items-center">
              <h2>{text('gather.tiles')}</h2>
              {g.tiles.length > 0 && (
                <Link className="no-print btn btn-sm btn-outline-primary" to={toPrint('tiles')}>
                  {text('gather.printCards')}
                </Link>
              )}
            </header>
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
          {g.sheets.length > 0 && (
            <section className="panel">
              <header className="d-flex justify-content-between align-items-center">
                <h2>{text('gather.sheets')}</h2>
                <Link
                  className="no-print btn btn-sm btn-outline-primary"
                  to={
                    days === 5
                      ? `/week/${view.from}/pack?group=${groupId}`
                      : `/groups/${groupId}/printing/${view.from}/pack`
                  }
                >
                  {text('gather.print')}
                </Link>
              </header>
              <p className="mt-2 mb-0">{g.sheets.map((s) => textOf('activity', s.kind)).join(' · ')}</p>
            </section>
          )}
        </div>
      )}
    </>
  );
}
