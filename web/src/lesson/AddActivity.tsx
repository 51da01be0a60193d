import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { text, textOf } from '../text/text';
import { useFacts } from '../facts/facts';
import { type ActivityKind, type Command, type LessonView, type PartKind } from './kinds';

/** One more activity for a part. */
export function AddActivity({
  part,
  view,
  busy,
  onCommand,
}: {
  part: PartKind;
  view: LessonView;
  busy: boolean;
  onCommand: (command: Command) => void;
}) {
  const [kind, setKind] = useState<ActivityKind | ''>('');
  const standing = view.lesson.parts.find((p) => p.kind === part)?.activities.map((a) => a.kind) ?? [];
  const kinds = useFacts().activities.filter((a) => a.part === part && !standing.includes(a.kind));
  return (
    <div className="add-activity d-flex gap-2">
      <Form.Select
        size="sm"
        className="w-auto bg-transparent"
        value={kind}
        disabled={busy}
        aria-label={text('lesson.addTo', { part: textOf('part', part) })}
        onChange={(e) => setKind(e.target.value as ActivityKind)}
      >
        <option value="">{text('lesson.addActivity')}</option>
        {kinds.map((a) => (
          <option key={a.kind} value={a.kind}>
            {textOf('activity', a.kind)}
          </option>
        ))}
      </Form.Select>
      <Button
        variant="outline-primary"
        size="sm"
        disabled={busy || kind === ''}
        onClick={() => {
          if (kind !== '') onCommand({ type: 'add-activity', kind, part });
          setKind('');
        }}
      >
        {text('lesson.add')}
      </Button>
    </div>
  );
}
