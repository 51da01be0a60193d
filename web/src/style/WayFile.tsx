import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { base64Of } from '../shell/base64';
import { FileChoice } from '../shell/FileChoice';
import { ErrorNote } from '../shell/ErrorNote';
import { teachingText, text, textOf, weekdayText } from '../text/text';
import { styleQuery } from './queries';

/** Our school's way, with its notes and lesson templates, as a file to save and to read back. */
export function WayFile({ onRead }: { onRead: () => void }) {
  const { school } = useSchool();
  const [reading, setReading] = useState(false);
  return (
    <p className="d-flex flex-wrap gap-2 no-print mt-3">
      <a className="btn btn-sm btn-outline-secondary" href={`/api/schools/${school.id}/way/file`} download>
        {text('way.save')}
      </a>
      {school.role === 'lead' && (
        <Button variant="outline-secondary" size="sm" onClick={() => setReading(true)}>
          {text('way.read')}
        </Button>
      )}
      {reading && (
        <ReadWayDialog
          onHide={() => setReading(false)}
          onRead={() => {
            setReading(false);
            onRead();
          }}
        />
      )}
    </p>
  );
}

function ReadWayDialog({ onHide, onRead }: { onHide: () => void; onRead: () => void }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const path = { schoolId: school.id };
  const look = useMutation({
    mutationFn: async (file: Blob) => {
      const content = await base64Of(file);
      const seen = await answered(
        client.POST('/api/schools/{schoolId}/way/file/look', { params: { path }, body: { content } }),
      );
      return { content, ...seen };
    },
  });
  const seen = look.data;
  const read = useMutation({
    mutationFn: (file: { content: string; stamp: string }) =>
      answered(
        client.POST('/api/schools/{schoolId}/way/file', {
          params: { path, header: { 'If-Match': file.stamp } },
          body: { content: file.content },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: styleQuery(school.id).queryKey });
      void nowStale(queries, school.id, 'settings');
      onRead();
    },
  });
  return (
    <Dialog
      title={text('way.read')}
      onHide={onHide}
      size="lg"
      action={{
        label: text('way.do'),
        run: () => seen && read.mutate(seen),
        disabled: !seen || seen.lines.length === 0 || read.isPending,
      }}
    >
      <p className="quiet">{text('way.why')}</p>
      <FileChoice id="way-file" label={text('way.file')} accept=".json" onFile={(file) => file && look.mutate(file)} />
      <div aria-live="polite">
        {seen?.lines.length === 0 && <p>{text('way.nothing')}</p>}
        {seen && seen.lines.length > 0 && (
          <>
            <h3 className="fs-6">{text('way.changes')}</h3>
            <ul>
              {seen.lines.map((l, i) => (
                <li key={i}>{saidOf(l)}</li>
              ))}
            </ul>
          </>
        )}
      </div>
      {(look.error ?? read.error) && <ErrorNote problem={(look.error ?? read.error)!} />}
    </Dialog>
  );
}

/** One difference in words. */
function saidOf({ code, arguments: a }: Schemas['Reason']): string {
  switch (code) {
    case 'accent':
      return text('way.accent', { before: textOf('style.accent', a[0]!), after: textOf('style.accent', a[1]!) });
    case 'note':
      return text('way.note', { what: teachingText(a[0]!) });
    case 'template':
      return text('way.template', {
        day: textOf('day', a[0]!),
        minutes: Number(a[1]),
        weekday: a[2] === '0' ? text('templates.everyDay') : weekdayText(Number(a[2])),
      });
    default:
      return textOf('way.field', a[0]!);
  }
}
