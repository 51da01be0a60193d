import { useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Chip } from '../shell/Chip';
import { text, textOf } from '../text/text';

export type CheckLine = Schemas['CheckLine'];

/** A line of a story's list: ours has a sentence of the catalogue, a phrase or one of the teacher's own its words. */
export const checkText = (line: CheckLine) => line.text || textOf('checklist', line.code);

/** What a story is to have, one beside the other. */
export function ChecklistShown({ lines }: { lines: readonly CheckLine[] }) {
  return (
    <span className="checklist d-flex flex-wrap column-gap-3">
      <strong>{text('checklist.title')}:</strong>
      {lines.map((line) => (
        <span key={line.code + line.text}>☐ {checkText(line)}</span>
      ))}
    </span>
  );
}

/** The list in a teacher's hands: lines are taken off, others are typed. */
export function ChecklistEditor({
  lines,
  busy,
  onSave,
}: {
  lines: readonly CheckLine[];
  busy: boolean;
  onSave: (lines: CheckLine[]) => void;
}) {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  const add = (event: FormEvent) => {
    event.preventDefault();
    if (typed.trim() === '') return;
    onSave([...lines, { code: 'own', text: typed.trim() }]);
    setTyped('');
  };
  if (!open)
    return (
      <Button variant="link" size="sm" className="p-0" onClick={() => setOpen(true)}>
        {text('checklist.change')}
      </Button>
    );
  return (
    <Form onSubmit={add} className="w-100 d-flex flex-wrap gap-2 align-items-center">
      <ul className="list-unstyled d-flex flex-wrap gap-2 m-0">
        {lines.map((line) => (
          <Chip
            key={line.code + line.text}
            off={text('checklist.off', { line: checkText(line) })}
            onOff={() => onSave(lines.filter((other) => other !== line))}
          >
            {checkText(line)}
          </Chip>
        ))}
      </ul>
      <Form.Control
        size="sm"
        className="w-auto"
        maxLength={80}
        value={typed}
        disabled={busy}
        aria-label={text('checklist.add')}
        placeholder={text('checklist.add')}
        onChange={(e) => setTyped(e.target.value)}
      />
      <Button type="submit" size="sm" variant="outline-primary" disabled={busy || typed.trim() === ''}>
        {text('checklist.addDo')}
      </Button>
    </Form>
  );
}
