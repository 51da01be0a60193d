import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { Picture } from '../lesson/Picture';
import { useSchool } from '../session/session';
import { base64Of } from '../shell/base64';
import { ErrorNote } from '../shell/ErrorNote';
import { FileChoice } from '../shell/FileChoice';
import { text } from '../text/text';
import { picturesQuery } from './queries';
import { smallPicture } from './smallPicture';

/**
 * The school's own picture for a word, or for the memory phrase of a correspondence: a lead brings one, with a line on
 * whose it is.
 */
export function WordPicture({ word }: { word: string }) {
  const isPhrase = word.includes('=');
  const title = text(isPhrase ? 'picture.ofPhrase' : 'picture.own');
  const id = useId();
  const { school } = useSchool();
  const queries = useQueryClient();
  const pictures = useQuery(picturesQuery(school.id));
  const [file, setFile] = useState<Blob | null>(null);
  const [licence, setLicence] = useState('');
  const path = { schoolId: school.id };
  const settle = {
    onSuccess: (now: Schemas['OwnPictureView'][]) => {
      queries.setQueryData(picturesQuery(school.id).queryKey, now);
      // Lessons show it from now on.
      void queries.invalidateQueries({ queryKey: ['lesson'] });
    },
  };
  const keep = useMutation({
    mutationFn: async (chosen: Blob) =>
      answered(
        client.POST('/api/schools/{schoolId}/pictures', {
          params: { path },
          body: { word, content: await base64Of(await smallPicture(chosen)), licence },
        }),
      ),
    ...settle,
  });
  const remove = useMutation({
    mutationFn: (pictureId: string) =>
      answered(
        client.DELETE('/api/schools/{schoolId}/pictures/{pictureId}', { params: { path: { ...path, pictureId } } }),
      ),
    ...settle,
  });
  const leads = school.role === 'lead';
  const own = pictures.data?.find((p) => p.word === word);
  if (!leads && !own) return null;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (file) keep.mutate(file);
  };
  return (
    <section aria-label={title}>
      {!isPhrase && <h3>{title}</h3>}
      {own && (
        <p className="d-flex align-items-center gap-3">
          <Picture name={own.picture} word={word.split('=')[0]!} size={96} />
          <span className="quiet">{own.licence}</span>
          {leads && (
            <Button size="sm" variant="outline-secondary" onClick={() => remove.mutate(own.id)}>
              {text('picture.delete')}
            </Button>
          )}
        </p>
      )}
      {leads && (
        <Form onSubmit={submit}>
          <FileChoice
            id={`${id}-file`}
            label={text(own ? 'picture.another' : 'picture.file')}
            accept="image/png,image/jpeg,image/webp,image/svg+xml"
            help={text('picture.help')}
            onFile={setFile}
          />
          <Form.Group controlId={`${id}-licence`} className="mb-2">
            <Form.Label>{text('picture.licence')}</Form.Label>
            <Form.Control maxLength={160} value={licence} onChange={(e) => setLicence(e.target.value)} />
          </Form.Group>
          <Button type="submit" variant="outline-primary" disabled={!file || !licence.trim() || keep.isPending}>
            {text('picture.keep')}
          </Button>
        </Form>
      )}
      {(keep.error ?? remove.error) && <ErrorNote problem={(keep.error ?? remove.error)!} />}
    </section>
  );
}
