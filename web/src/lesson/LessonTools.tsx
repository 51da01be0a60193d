import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useQuery } from '@tanstack/react-query';
import { groupsQuery } from '../groups/queries';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { text } from '../text/text';
import type { Command, LessonView } from './kinds';

/** The teacher's own note for the day. */
export function Remark({
  view,
  editable,
  busy,
  onCommand,
}: {
  view: LessonView;
  editable: boolean;
  busy: boolean;
  onCommand: (command: Command) => void;
}) {
  const kept = view.lesson.remark ?? '';
  const [typed, setTyped] = useState(kept);
  const [open, setOpen] = useState(kept !== '');
  if (!editable) return kept ? <p className="my-3">{kept}</p> : null;
  if (!open)
    return (
      <Button variant="link" size="sm" className="p-0" onClick={() => setOpen(true)}>
        {text('lesson.remarkAdd')}
      </Button>
    );
  return (
    <Form.Group controlId="remark" className="my-3">
      <Form.Label>{text('lesson.remark')}</Form.Label>
      <Form.Control
        as="textarea"
        rows={2}
        maxLength={1000}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        aria-describedby="remark-help"
      />
      <div className="d-flex justify-content-between align-items-start gap-3 mt-1">
        <Form.Text id="remark-help">{text('lesson.remarkHelp')}</Form.Text>
        <Button
          size="sm"
          variant="outline-primary"
          disabled={busy || typed.trim() === kept}
          onClick={() => onCommand({ type: 'set-remark', text: typed })}
        >
          {text('lesson.remarkSave')}
        </Button>
      </div>
    </Form.Group>
  );
}

/** Takes over another group's lesson of the same day. */
export function CopyDialog({
  view,
  onCommand,
  onHide,
}: {
  view: LessonView;
  onCommand: (command: Command) => void;
  onHide: () => void;
}) {
  const { school } = useSchool();
  const groups = useQuery(groupsQuery(school.id));
  const others = (groups.data ?? []).filter((g) => g.id !== view.groupId);
  const [from, setFrom] = useState('');
  const copy = () => {
    onCommand({ type: 'copy', fromGroup: from, fromDate: view.date });
    onHide();
  };
  return (
    <Dialog
      title={text('lesson.copy')}
      onHide={onHide}
      action={{ label: text('lesson.copyDo'), run: copy, disabled: from === '' }}
    >
      <p>{text('lesson.copyHelp')}</p>
      <Form.Select value={from} aria-label={text('lesson.copy')} onChange={(e) => setFrom(e.target.value)}>
        <option value="" />
        {others.map((g) => (
          <option key={g.id} value={g.id}>
            {g.name}
          </option>
        ))}
      </Form.Select>
    </Dialog>
  );
}
