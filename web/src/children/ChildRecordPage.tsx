import { useMutation } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Button } from 'react-bootstrap';
import { useParams } from 'react-router';
import { answered, client } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { targetText } from '../marks/targets';
import { dayText, momentText, text, textOf } from '../text/text';

/** What was seen, day by day. */
function days<T extends { day: string }>(seen: readonly T[]): [string, T[]][] {
  const by = new Map<string, T[]>();
  for (const s of seen) by.set(s.day, [...(by.get(s.day) ?? []), s]);
  return [...by];
}

/** Everything that is kept of a child, to read, print or save. Leads only. */
export function ChildRecordPage() {
  const { school } = useSchool();
  const childId = useParams().childId!;
  const record = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/children/{childId}/export', {
          params: { path: { schoolId: school.id, childId } },
        }),
      ),
  });
  const { mutate } = record;
  useEffect(() => mutate(), [mutate]);
  usePageTitle(text('child.record'));
  if (record.error) return <ErrorNote problem={record.error} retry={() => mutate()} />;
  if (!record.data) return <Loading />;
  const kept = record.data;
  const save = () => {
    const url = URL.createObjectURL(new Blob([JSON.stringify(kept, null, 2)], { type: 'application/json' }));
    const link = document.createElement('a');
    link.href = url;
    link.download = 'child.json';
    link.click();
    URL.revokeObjectURL(url);
  };
  return (
    <article className="mx-auto child-record">
      <div className="d-flex flex-wrap justify-content-between gap-3">
        <h1>{text('record.title', { name: kept.name })}</h1>
        <div className="d-flex gap-2 align-items-start no-print">
          <Button onClick={() => window.print()}>{text('record.print')}</Button>
          <Button variant="outline-primary" onClick={save}>
            {text('record.save')}
          </Button>
        </div>
      </div>
      <p className="quiet">{text('record.made', { school: kept.school, date: momentText(kept.madeAt) })}</p>
      <h2 className="fs-5">{text('record.groups')}</h2>
      {kept.groups.length === 0 ? (
        <p>{text('record.noGroups')}</p>
      ) : (
        <ul>
          {kept.groups.map((g) => (
            <li key={`${g.group} ${g.first}`}>
              {g.group},{' '}
              {g.last
                ? text('record.span', { first: dayText(g.first), last: dayText(g.last) })
                : text('record.since', { first: dayText(g.first) })}
            </li>
          ))}
        </ul>
      )}
      <h2 className="fs-5">{text('record.away')}</h2>
      {kept.away.length === 0 ? (
        <p>{text('record.noDays')}</p>
      ) : (
        <ul>
          {kept.away.map((d) => (
            <li key={d}>{dayText(d)}</li>
          ))}
        </ul>
      )}
      <h2 className="fs-5">{text('record.holds')}</h2>
      {kept.memories.length === 0 ? (
        <p>{text('record.nothingSeen')}</p>
      ) : (
        (['secure', 'wobbling', 'not-yet'] as const).map((state) => {
          const those = kept.memories.filter((m) => m.state === state);
          return (
            those.length > 0 && (
              <p key={state}>
                <strong>{textOf('record.state', state)}</strong>{' '}
                <span className="literacy">
                  {those
                    .map((m) => `${targetText(m.target)}${m.skill === 'spelling' ? ` ${text('record.spelled')}` : ''}`)
                    .join(' · ')}
                </span>
              </p>
            )
          );
        })
      )}
      <h2 className="fs-5">{text('record.seen')}</h2>
      {kept.seen.length === 0 ? (
        <p>{text('record.nothingSeen')}</p>
      ) : (
        <ul>
          {days(kept.seen).map(([day, seen]) => (
            <li key={day}>
              {dayText(day)}:{' '}
              {seen.map((s) => `${s.word} ${targetText(s.target)} ${textOf('marks.seen', s.seen)}`).join(', ')}
            </li>
          ))}
        </ul>
      )}
      <p className="quiet">{text('record.noMore')}</p>
    </article>
  );
}
