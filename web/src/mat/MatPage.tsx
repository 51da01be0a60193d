import { useQuery } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { useActions } from '../shell/actions';
import { Kbd } from '../shell/Kbd';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, labelText, stageText, text } from '../text/text';
import { matQuery } from './queries';
import { shown } from '../words/spelling';

/** Two printed pages for a group and day: what has been taught so far, and the words that can be used. */
export function MatPage() {
  const { school } = useSchool();
  const { groupId = '', date = '' } = useParams();
  const mat = useQuery(matQuery(school.id, groupId, date));
  usePageTitle(text('mat.link'));
  useActions([{ keys: ['p'], label: 'keys.printPage', run: () => window.print() }]);
  if (mat.isPending) return <Loading />;
  if (mat.error) return <ErrorNote problem={mat.error} retry={() => void mat.refetch()} />;
  return (
    <div className="mats" data-paper={school.paperSize}>
      <p className="no-print">
        <Link to="/">{text('mat.back')}</Link>{' '}
        <Button size="sm" onClick={() => window.print()}>
          {text('mat.print')} <Kbd of="P" />
        </Button>
      </p>
      <TaughtSoFar mat={mat.data} />
      <WordsToUse mat={mat.data} />
    </div>
  );
}

function TaughtSoFar({ mat }: { mat: Schemas['MatView'] }) {
  const fresh = new Set(mat.new);
  return (
    <section className="sheet">
      <h1>{text('mat.title', { group: mat.groupName })}</h1>
      <p className="quiet">
        {text('mat.date', { date: dayText(mat.date) })}
        {mat.new.length > 0 && ` · ${text('mat.new', { label: labelText(mat.rungLabel) })}`}
      </p>
      {mat.stages.length === 0 && <p>{text('mat.empty')}</p>}
      <div className="mat-cells">
        {mat.stages.map((stage) => (
          <div key={stage.stage} className="mat-stage">
            <h2>{stage.stage === '' ? text('mat.older') : stageText(stage.stage)}</h2>
            <ul>
              {stage.cells.map((c) => (
                <li key={c.notation} className={fresh.has(c.notation) ? 'mat-new' : ''}>
                  <span className="literacy">{c.grapheme}</span>
                  <span className="small">{c.keyWord}</span>
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
      {mat.tricky.length + mat.newTricky.length > 0 && (
        <>
          <h2>{text('mat.tricky')}</h2>
          <p className="mat-tricky literacy">
            {mat.tricky.map((t) => (
              <span key={t}>{shown(t)}</span>
            ))}
            {mat.newTricky.map((t) => (
              <span key={t} className="mat-new">
                {shown(t)}
              </span>
            ))}
          </p>
        </>
      )}
    </section>
  );
}

function WordsToUse({ mat }: { mat: Schemas['MatView'] }) {
  return (
    <section className="sheet">
      <h1>{text('mat.wordsTitle', { group: mat.groupName })}</h1>
      <p className="quiet">
        {text('mat.date', { date: dayText(mat.date) })} · {text('mat.count', { count: mat.wordCount })}
      </p>
      {mat.words.length === 0 && <p>{text('mat.noWords')}</p>}
      {mat.words.map((list) => (
        <div key={list.shape} className={list.shape === 'new' ? 'mat-words mat-new-words' : 'mat-words'}>
          <h2>{list.shape === 'new' ? text('mat.newWords') : list.shape}</h2>
          <p className="literacy">
            {list.words.map((w) => (
              <span key={w}>{w}</span>
            ))}
          </p>
        </div>
      ))}
    </section>
  );
}
