import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { SaveProblem } from '../shell/SaveProblem';
import { text, textOf } from '../text/text';
import { WordPicture } from '../explorer/WordPicture';
import { notesQuery } from './queries';

type Note = Schemas['Note'];
const FIELDS = ['keyWord', 'phrase', 'mouthCue', 'formation'] as const;

/**
 * The school's own way to teach something: key word, memory phrase, mouth cue, formation. Leads write it, all read it.
 */
export function RungNotes({ subject, label }: { subject: string; label: string }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const notes = useQuery(notesQuery(school.id));
  const found = notes.data?.notes.find((n) => n.subject === subject);
  const kept: Note = found ?? { subject, keyWord: '', phrase: '', mouthCue: '', formation: '' };
  const [stamp, setStamp] = useState('');
  const [typed, setTyped] = useState<Note | null>(null);
  const save = useMutation({
    mutationFn: (body: Note) =>
      answered(
        client.POST('/api/schools/{schoolId}/notes', {
          params: { path: { schoolId: school.id }, header: { 'If-Match': stamp } },
          body,
        }),
      ),
    onSuccess: () => {
      setTyped(null);
      void nowStale(queries, school.id, 'notes');
    },
  });
  const filled = FIELDS.filter((f) => kept[f] !== '');
  if (typed === null) {
    return (
      <div>
        {filled.map((f) => (
          <p key={f}>
            <span className="quiet">{textOf('notes', f)}:</span> {kept[f]}
          </p>
        ))}
        {/* Not before the notes are there: saving names the version that was seen. */}
        {school.role === 'lead' && notes.data && (
          <Button
            variant="link"
            size="sm"
            className="px-0"
            onClick={() => {
              setTyped(kept);
              setStamp(found?.stamp ?? notes.data.noStamp);
            }}
          >
            {text(filled.length > 0 ? 'notes.change' : 'notes.add', { label })}
          </Button>
        )}
        {kept.phrase !== '' && subject.includes('=') && (
          <details className="mb-2">
            <summary className="small">{text('picture.ofPhrase')}</summary>
            <WordPicture word={subject} />
          </details>
        )}
      </div>
    );
  }
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        const { subject: about, keyWord, phrase, mouthCue, formation } = typed;
        save.mutate({ subject: about, keyWord, phrase, mouthCue, formation });
      }}
    >
      {FIELDS.map((f) => (
        <Form.Group key={f} controlId={`note-${subject}-${f}`} className="mb-2">
          <Form.Label className="small mb-0">{textOf('notes', f)}</Form.Label>
          <Form.Control
            size="sm"
            maxLength={f === 'keyWord' ? 30 : 400}
            value={typed[f]}
            onChange={(e) => setTyped({ ...typed, [f]: e.target.value })}
          />
        </Form.Group>
      ))}
      {save.error && <SaveProblem problem={save.error} onMine={setStamp} />}
      <Button type="submit" size="sm" disabled={save.isPending}>
        {text('notes.save')}
      </Button>{' '}
      <Button variant="link" size="sm" onClick={() => setTyped(null)}>
        {text('notes.cancel')}
      </Button>
    </Form>
  );
}
