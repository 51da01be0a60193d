import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { answered, client } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { base64Of } from '../shell/base64';
import { ErrorNote } from '../shell/ErrorNote';
import { FileChoice } from '../shell/FileChoice';
import { text, textOf } from '../text/text';

/** Books out of a table: what it would bring is shown before it is taken. */
export function BooksFile({ onDone }: { onDone: () => void }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const [content, setContent] = useState('');
  const path = { params: { path: { schoolId: school.id } } };
  const look = useMutation({
    mutationFn: (base64: string) =>
      answered(client.POST('/api/schools/{schoolId}/books/file/look', { ...path, body: { content: base64 } })),
  });
  const take = useMutation({
    mutationFn: () => answered(client.POST('/api/schools/{schoolId}/books/file', { ...path, body: { content } })),
    onSuccess: () => {
      void nowStale(queries, school.id, 'books');
      onDone();
    },
  });
  const seen = look.data;
  return (
    <section className="panel mb-3">
      <h2 className="fs-5">{text('texts.takeTable')}</h2>
      <FileChoice
        id="books-file"
        label={text('texts.tableFile')}
        accept=".csv,.txt"
        help={text('texts.tableHelp')}
        onFile={(file) => {
          if (!file) return;
          void base64Of(file).then((base64) => {
            setContent(base64);
            look.mutate(base64);
          });
        }}
      />
      {look.error && <ErrorNote problem={look.error} />}
      {seen && (
        <>
          <p className="mb-1" role="status">
            <strong>{text('texts.tableNew', { count: seen.new.length })}</strong>{' '}
            {seen.new
              .slice(0, 5)
              .map((b) => b.title)
              .join(', ')}
            {seen.new.length > 5 && ' …'}
          </p>
          {seen.there.length > 0 && <p className="mb-1">{text('texts.tableThere', { count: seen.there.length })}</p>}
          {seen.otherColumns.length > 0 && (
            <p className="mb-1">{text('texts.tableColumns', { columns: seen.otherColumns.join(', ') })}</p>
          )}
          {seen.leftOut.length > 0 && (
            <ul className="mb-1">
              {seen.leftOut.slice(0, 10).map((l) => (
                <li key={l.line}>{text('texts.tableLine', { line: l.line, why: textOf('bookLine', l.why) })}</li>
              ))}
            </ul>
          )}
          <Button disabled={take.isPending || seen.new.length === 0} onClick={() => take.mutate()}>
            {text('texts.tableTake', { count: seen.new.length })}
          </Button>
          {take.error && <ErrorNote problem={take.error} />}
        </>
      )}
    </section>
  );
}
