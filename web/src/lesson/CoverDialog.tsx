import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { answered, client } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Dialog } from '../shell/Dialog';
import { dayText, text } from '../text/text';
import type { LessonView } from './kinds';

/** A link for a cover adult: this lesson, on its day, without an account. */
export function CoverDialog({ view, onHide }: { view: LessonView; onHide: () => void }) {
  const { school } = useSchool();
  const [copied, setCopied] = useState(false);
  const params = { path: { schoolId: school.id, lessonId: view.id } };
  const give = useMutation({
    mutationFn: () => answered(client.POST('/api/schools/{schoolId}/lessons/{lessonId}/cover', { params })),
  });
  const end = useMutation({
    mutationFn: () => answered(client.DELETE('/api/schools/{schoolId}/lessons/{lessonId}/cover', { params })),
    onSuccess: () => give.reset(),
  });
  const link = give.data ? `${window.location.origin}/cover#${give.data.key}` : '';
  return (
    <Dialog
      title={text('cover.title')}
      onHide={onHide}
      cancel={text('cover.done')}
      more={
        <Button variant="link" disabled={end.isPending} onClick={() => end.mutate()}>
          {text('cover.end')}
        </Button>
      }
    >
      <p>{text('cover.help', { date: dayText(view.date) })}</p>
      {link ? (
        <div className="cover-link d-grid gap-2">
          <Form.Control readOnly value={link} aria-label={text('cover.link')} onFocus={(e) => e.target.select()} />
          <Button
            variant="outline-primary"
            onClick={() => void navigator.clipboard.writeText(link).then(() => setCopied(true))}
          >
            {text(copied ? 'cover.copied' : 'cover.copy')}
          </Button>
          <p className="quiet small mb-0">{text('cover.once')}</p>
        </div>
      ) : (
        <p>
          <Button disabled={give.isPending} onClick={() => give.mutate()}>
            {text('cover.make')}
          </Button>{' '}
          <Link className="btn btn-outline-primary" to={`/groups/${view.groupId}/lessons/${view.date}/print?say=1`}>
            {text('cover.print')}
          </Link>
        </p>
      )}
      {(give.error ?? end.error) && <ErrorNote problem={(give.error ?? end.error)!} />}
      {end.isSuccess && <p role="status">{text('cover.ended')}</p>}
    </Dialog>
  );
}
