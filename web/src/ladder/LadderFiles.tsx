import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { answered, client } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { base64Of } from '../shell/base64';
import { FileChoice } from '../shell/FileChoice';
import { ErrorNote } from '../shell/ErrorNote';
import { lineText, text } from '../text/text';
import type { Ladder } from './queries';

/** The ladder as a file to save, and for a draft a file to read back. */
export function LadderFiles({ view }: { view: Ladder }) {
  const { school } = useSchool();
  const [reading, setReading] = useState(false);
  const at = `/api/schools/${school.id}/ladders/${view.id}/${view.draft ? 'draft' : `versions/${view.version}`}/file`;
  return (
    <p className="d-flex flex-wrap column-gap-3 small no-print mt-3">
      {(['csv', 'json'] as const).map((kind) => (
        <a key={kind} href={`${at}?kind=${kind}`} download>
          {text(`file.${kind}`)}
        </a>
      ))}
      {view.draft && (
        <Button variant="link" size="sm" className="p-0" onClick={() => setReading(true)}>
          {text('file.back')}
        </Button>
      )}
      {reading && <ReadBackDialog view={view} onHide={() => setReading(false)} />}
    </p>
  );
}

function ReadBackDialog({ view, onHide }: { view: Ladder; onHide: () => void }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const path = { schoolId: school.id, ladderId: view.id };
  const look = useMutation({
    mutationFn: async (file: Blob) => {
      const content = await base64Of(file);
      const seen = await answered(
        client.POST('/api/schools/{schoolId}/ladders/{ladderId}/draft/file/look', {
          params: { path },
          body: { content },
        }),
      );
      return { content, ...seen };
    },
  });
  const back = useMutation({
    mutationFn: (content: string) =>
      answered(
        client.POST('/api/schools/{schoolId}/ladders/{ladderId}/draft/file', {
          params: { path, header: { 'If-Match': `"${view.draft!.version}"` } },
          body: { content },
        }),
      ),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['ladder', school.id] });
      void nowStale(queries, school.id, 'ladders');
      onHide();
    },
  });
  const seen = look.data;
  return (
    <Dialog
      title={text('file.title')}
      onHide={onHide}
      size="lg"
      action={{
        label: text('file.do'),
        run: () => seen && back.mutate(seen.content),
        disabled: !seen || seen.lines.length === 0 || back.isPending,
      }}
    >
      <p className="quiet">{text('file.why')}</p>
      <FileChoice
        id="ladder-file"
        label={text('file.file')}
        accept=".csv,.json,.txt"
        onFile={(file) => file && look.mutate(file)}
      />
      {seen && (
        <section aria-live="polite">
          {seen.problems.length > 0 ? (
            <ul className="text-danger">
              {seen.problems.map((p) => (
                <li key={`${p.line} ${p.column}`}>
                  {text('file.problem', { line: p.line, value: p.value, column: p.column })}
                </li>
              ))}
            </ul>
          ) : seen.lines.length === 0 ? (
            <p>{text('file.nothing')}</p>
          ) : (
            <>
              <h3 className="fs-6">{text('file.changes')}</h3>
              <ul>
                {seen.lines.map((l, i) => (
                  <li key={i}>{lineText(l)}</li>
                ))}
              </ul>
            </>
          )}
        </section>
      )}
      {(look.error ?? back.error) && <ErrorNote problem={(look.error ?? back.error)!} />}
    </Dialog>
  );
}
