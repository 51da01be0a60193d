import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { SaveProblem } from '../shell/SaveProblem';
import { text, textOf } from '../text/text';
import { type OwnText, type OwnTextRequest } from './queries';

interface Props {
  /** As it was loaded; null for a new one. */
  kept: OwnText | null;
  body: string;
  first: readonly string[];
  told: readonly string[];
  before: string;
  onSaved: (saved: OwnText) => void;
}

const KINDS = ['story', 'sentences', 'dictation'] as const;

/** Keeps a text in the school's own bank. */
export function SaveText({ kept, body, first, told, before, onSaved }: Props) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const [kind, setKind] = useState<Schemas['OwnTextKind']>(kept?.kind ?? 'story');
  const [title, setTitle] = useState(kept?.title ?? '');
  const [questions, setQuestions] = useState(kept?.questions.join('\n') ?? '');
  const [isShared, setShared] = useState(kept?.isShared ?? true);
  const [stamp, setStamp] = useState(kept?.stamp ?? '');
  const save = useMutation({
    mutationFn: (request: OwnTextRequest) =>
      kept
        ? answered(
            client.PUT('/api/schools/{schoolId}/own-texts/{textId}', {
              params: { path: { schoolId: school.id, textId: kept.id }, header: { 'If-Match': stamp } },
              body: request,
            }),
          )
        : answered(
            client.POST('/api/schools/{schoolId}/own-texts', {
              params: { path: { schoolId: school.id } },
              body: request,
            }),
          ),
    onSuccess: (saved) => {
      setStamp(saved.stamp);
      void nowStale(queries, school.id, 'ownTexts');
      onSaved(saved);
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    save.mutate({
      kind,
      title,
      body,
      questions: kind === 'story' ? questions.split('\n').filter((q) => q.trim() !== '') : [],
      firstWords: [...first],
      told: [...told],
      before,
      isShared,
    });
  };
  return (
    <section className="panel write-part" aria-label={text('texts.save')}>
      <h2 className="fs-5">{text('texts.save')}</h2>
      <Form onSubmit={submit} className="d-grid gap-2">
        <Form.Group controlId="save-title">
          <Form.Label className="quiet mb-1">{text('texts.title')}</Form.Label>
          <Form.Control className="literacy" value={title} maxLength={80} onChange={(e) => setTitle(e.target.value)} />
        </Form.Group>
        <Form.Group controlId="save-kind">
          <Form.Label className="quiet mb-1">{text('texts.kind')}</Form.Label>
          <Form.Select value={kind} onChange={(e) => setKind(e.target.value as Schemas['OwnTextKind'])}>
            {KINDS.map((k) => (
              <option key={k} value={k}>
                {textOf('textKind', k)}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        {kind === 'story' && (
          <Form.Group controlId="save-questions">
            <Form.Label className="quiet mb-1">{text('texts.questions')}</Form.Label>
            <Form.Control
              as="textarea"
              rows={2}
              value={questions}
              maxLength={1300}
              onChange={(e) => setQuestions(e.target.value)}
            />
          </Form.Group>
        )}
        <Form.Check
          id="save-shared"
          label={text('texts.shared')}
          checked={isShared}
          onChange={(e) => setShared(e.target.checked)}
        />
        <div className="d-flex gap-2 align-items-center">
          <Button type="submit" disabled={save.isPending || title.trim() === '' || body.trim() === ''}>
            {text(kept ? 'texts.saveChanges' : 'texts.saveNew')}
          </Button>
          <span role="status" className="quiet">
            {save.isSuccess && text('texts.saved')}
          </span>
        </div>
        {save.error && <SaveProblem problem={save.error} onMine={setStamp} />}
      </Form>
    </section>
  );
}
