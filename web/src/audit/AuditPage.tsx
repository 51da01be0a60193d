import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, momentText, text, textOf } from '../text/text';

type Line = Schemas['AuditLine'];

const said = (line: Line) => [textOf('audit', line.action), line.about ?? '', line.day ? dayText(line.day) : ''].filter((part) => part !== '').join(', ');

/** Who did what in the school, and who signed in: the newest first. Leads only. */
export function AuditPage() {
  const { school } = useSchool();
  const [sought, setSought] = useState('');
  usePageTitle(text('nav.audit'));
  const audit = useInfiniteQuery({
    queryKey: ['audit', school.id],
    initialPageParam: undefined as string | undefined,
    queryFn: ({ pageParam }) => answered(client.GET('/api/schools/{schoolId}/audit', { params: { path: { schoolId: school.id }, query: pageParam ? { before: pageParam } : {} } })),
    getNextPageParam: (page) => (page.earlier ? page.lines[page.lines.length - 1]?.at : undefined),
  });
  if (audit.isPending) return <Loading />;
  if (audit.error) return <ErrorNote problem={audit.error} retry={() => void audit.refetch()} />;
  const lines = audit.data.pages.flatMap((p) => p.lines);
  const shown = lines.filter((l) => `${l.who ?? ''} ${said(l)}`.toLowerCase().includes(sought.trim().toLowerCase()));
  return (
    <>
      <h1>{text('nav.audit')}</h1>
      <p className="quiet">{text('audit.intro')}</p>
      <Form.Control
        className="audit-search"
        type="search"
        aria-label={text('audit.search')}
        placeholder={text('audit.search')}
        value={sought}
        onChange={(e) => setSought(e.target.value)}
      />
      {shown.length === 0 && <p className="empty">{text('audit.none')}</p>}
      {shown.length > 0 && (
        <table className="audit panel">
          <thead>
            <tr>
              <th scope="col">{text('audit.at')}</th>
              <th scope="col">{text('audit.who')}</th>
              <th scope="col">{text('audit.what')}</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((line, i) => (
              <tr key={i}>
                <td>{momentText(line.at)}</td>
                <td>{line.who ?? text('audit.nobody')}</td>
                <td>{said(line)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {audit.hasNextPage && (
        <Button variant="outline-primary" disabled={audit.isFetchingNextPage} onClick={() => void audit.fetchNextPage()}>
          {text('audit.earlier')}
        </Button>
      )}
    </>
  );
}
