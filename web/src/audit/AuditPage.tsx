import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form, Table } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { auditQuery } from './queries';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, momentText, text, textOf } from '../text/text';

type Line = Schemas['AuditLine'];

const said = (line: Line) =>
  [textOf('audit', line.action), line.about ?? '', line.day ? dayText(line.day) : '']
    .filter((part) => part !== '')
    .join(', ');

/** Who did what in the school, and who signed in: the newest first. Leads only. */
export function AuditPage() {
  const { school } = useSchool();
  const [sought, setSought] = useState('');
  usePageTitle(text('nav.audit'));
  const audit = useInfiniteQuery(auditQuery(school.id));
  if (audit.isPending) return <Loading />;
  if (audit.error) return <ErrorNote problem={audit.error} retry={() => void audit.refetch()} />;
  const lines = audit.data.pages.flatMap((p) => p.lines);
  const shown = lines.filter((l) => `${l.who ?? ''} ${said(l)}`.toLowerCase().includes(sought.trim().toLowerCase()));
  return (
    <>
      <h1>{text('nav.audit')}</h1>
      <p className="quiet">{text('audit.intro')}</p>
      <Form.Control
        className="audit-search mb-3"
        type="search"
        aria-label={text('audit.search')}
        placeholder={text('audit.search')}
        value={sought}
        onChange={(e) => setSought(e.target.value)}
      />
      {shown.length === 0 && <p className="py-4">{text('audit.none')}</p>}
      {shown.length > 0 && (
        <section className="panel">
          <Table className="audit mb-0" responsive="sm">
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
          </Table>
        </section>
      )}
      {audit.hasNextPage && (
        <Button
          variant="outline-primary"
          disabled={audit.isFetchingNextPage}
          onClick={() => void audit.fetchNextPage()}
        >
          {text('audit.earlier')}
        </Button>
      )}
    </>
  );
}
