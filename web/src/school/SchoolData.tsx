import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { answered, client } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { base64Of } from '../shell/base64';
import { FileChoice } from '../shell/FileChoice';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';

/** Everything of the school out as one file, and such a file in. How far it is, the note above says. */
export function SchoolData() {
  const { school } = useSchool();
  const queries = useQueryClient();
  const [file, setFile] = useState<Blob | null>(null);
  const params = { path: { schoolId: school.id } };
  const started = { onSuccess: () => void nowStale(queries, school.id, 'jobs') };
  const out = useMutation({
    mutationFn: () =>
      answered(client.POST('/api/schools/{schoolId}/export', { params, body: { id: crypto.randomUUID() } })),
    ...started,
  });
  const take = useMutation({
    mutationFn: async (zip: Blob) =>
      answered(
        client.POST('/api/schools/{schoolId}/import', {
          params,
          body: { id: crypto.randomUUID(), content: await base64Of(zip) },
        }),
      ),
    ...started,
  });
  return (
    <div className="row g-4">
      <div className="col-md-6">
        <section className="panel h-100">
          <h2 className="fs-5">{text('data.out')}</h2>
          <p>{text('data.outWhy')}</p>
          <Button variant="outline-primary" disabled={out.isPending} onClick={() => out.mutate()}>
            {text('data.outDo')}
          </Button>
          {out.error && <ErrorNote problem={out.error} />}
        </section>
      </div>
      <div className="col-md-6">
        <section className="panel h-100">
          <h2 className="fs-5">{text('data.in')}</h2>
          <p>{text('data.inWhy')}</p>
          <FileChoice id="school-zip" label={text('data.inFile')} accept=".zip" onFile={setFile} />
          <Button
            variant="outline-primary"
            disabled={!file || take.isPending}
            onClick={() => file && take.mutate(file)}
          >
            {text('data.inDo')}
          </Button>
          {take.error && <ErrorNote problem={take.error} />}
        </section>
      </div>
    </div>
  );
}
