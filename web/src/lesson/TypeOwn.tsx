import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { activityFacts, useFacts } from '../facts/facts';
import { useSchool } from '../session/session';
import { text, textOf } from '../text/text';
import { verdictsQuery } from './queries';
import { type Activity, type LessonView, type PartKind } from './kinds';
import { VerdictLine } from './VerdictLine';

interface Props {
  view: LessonView;
  part: PartKind;
  activity: Activity;
  busy: boolean;
  /** With words that children can't read yet, which the adult reads: true. */
  onAdd: (typed: string, anyway: boolean) => void;
}

/** A word or a sentence of one's own: judged while it is typed, taken when the group can read it. */
export function TypeOwn({ view, part, activity, busy, onAdd }: Props) {
  const [typed, setTyped] = useState('');
  const settled = useDeferredValue(typed.trim());
  const { school } = useSchool();
  const verdicts = useQuery(verdictsQuery(school.id, view.id, part, settled));
  const shown = settled.length > 0 ? (verdicts.data ?? []) : [];
  const readable =
    shown.length > 0 &&
    settled === typed.trim() &&
    !verdicts.isFetching &&
    shown.every((v) => v.status === 'decodable' || v.status === 'tricky');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!readable) return;
    onAdd(settled, false);
    setTyped('');
  };
  const sentence = activityFacts(useFacts(), activity.kind).takes === 'sentence';
  const mayKeep =
    sentence && !readable && shown.length > 1 && !verdicts.isFetching && shown.every((v) => v.status !== 'left-out');
  return (
    <Form onSubmit={submit} className="type-own d-grid row-gap-1 column-gap-2 w-100">
      <Form.Control
        size="sm"
        className="literacy"
        value={typed}
        maxLength={200}
        placeholder={text('lesson.type')}
        aria-label={text('lesson.typeFor', { activity: textOf('activity', activity.kind) })}
        onChange={(e) => setTyped(e.target.value)}
      />
      <Button type="submit" size="sm" disabled={!readable || busy}>
        {text('lesson.add')}
      </Button>
      {mayKeep && (
        <Button
          size="sm"
          variant="outline-primary"
          disabled={busy}
          onClick={() => {
            onAdd(settled, true);
            setTyped('');
          }}
        >
          {text('lesson.keepAnyway')}
        </Button>
      )}
      <div className="verdicts" role="status">
        {shown.length === 0 ? (
          <span className="quiet">{text('lesson.typeHelp')}</span>
        ) : (
          shown.map((v, i) => <VerdictLine key={i} verdict={v} />)
        )}
      </div>
    </Form>
  );
}
