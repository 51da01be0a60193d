import { useQuery } from '@tanstack/react-query';
import { Button, Table } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { shortDayText, text } from '../text/text';
import { shown } from '../words/spelling';
import type { Step } from './editing';
import { trickyWordsQuery, type Ladder } from './queries';

interface Props {
  ladder: Ladder;
  group: Schemas['GroupDates'] | undefined;
  onDo: ((name: string, steps: Step[]) => void) | null;
  onChoose: (rungId: string) => void;
}

/**
 * The tricky words along the ladder: where each is taught, when it becomes readable, what is worth adding, what never
 * can be read.
 */
export function TrickyPanel({ ladder, group, onDo, onChoose }: Props) {
  const { school } = useSchool();
  const words = useQuery(trickyWordsQuery(school.id, ladder));
  if (words.isPending) return <Loading />;
  if (words.error) return <ErrorNote problem={words.error} retry={() => void words.refetch()} />;
  const date = (rungId: string | null | undefined) => {
    const day = rungId ? (group?.planned[rungId] ?? group?.taught[rungId]) : undefined;
    return day ? <div className="quiet small">{shortDayText(day)}</div> : null;
  };
  return (
    <>
      <h2>{text('tricky.title')}</h2>
      {words.data.suggested.length > 0 && onDo && (
        <>
          <h3>{text('tricky.suggested')}</h3>
          <ul className="list-unstyled">
            {words.data.suggested.map((t) => (
              <li
                key={t.word}
                className="d-flex flex-wrap row-gap-1 column-gap-2 align-items-center justify-content-between py-1 px-0 border-top"
              >
                <span className="literacy">{shown(t.word)}</span>
                <span className="quiet small">
                  {text('tricky.could', { rung: t.rung ?? 0, part: t.part.join(' '), readable: t.readable ?? 0 })}
                </span>
                <Button
                  size="sm"
                  variant="outline-primary"
                  onClick={() => onDo('tricky', [{ $type: 'tricky', word: t.word, rung: t.rungId ?? null, at: null }])}
                >
                  {text('tricky.place')}
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
      <h3>{text('tricky.placed', { count: words.data.placed.length })}</h3>
      <Table size="sm" className="small align-middle">
        <thead>
          <tr>
            <th scope="col">{text('tricky.word')}</th>
            <th scope="col">{text('tricky.taught')}</th>
            <th scope="col">{text('tricky.readable')}</th>
            <th scope="col">{text('tricky.column')}</th>
          </tr>
        </thead>
        <tbody>
          {words.data.placed.map((t) => (
            <tr key={t.word}>
              <th scope="row" className="literacy">
                {shown(t.word)}
              </th>
              <td>
                <button
                  type="button"
                  className="btn btn-link btn-sm p-0"
                  onClick={() => t.rungId && onChoose(t.rungId)}
                >
                  {t.rung}
                </button>
                {date(t.rungId)}
              </td>
              <td>
                {t.readable ?? text('tricky.never')}
                {date(t.readableRungId)}
              </td>
              <td className="literacy">{t.part.join(' ')}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <h3>{text('tricky.neverTitle', { count: words.data.never.length })}</h3>
      <p className={words.data.never.length > 0 ? 'literacy' : 'quiet'}>
        {words.data.never.length > 0 ? words.data.never.map(shown).join(', ') : text('tricky.noneNever')}
      </p>
    </>
  );
}
