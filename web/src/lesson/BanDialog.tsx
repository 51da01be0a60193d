import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { text } from '../text/text';

interface Props {
  word: string;
  onBan: (forSchool: boolean, reason: string) => void;
  onHide: () => void;
}

/** Keeps a word out of a group's lessons, without a reason; or, for a lead, out of the school's, with one. */
export function BanDialog({ word, onBan, onHide }: Props) {
  const isLead = useSchool().school.role === 'lead';
  const [forSchool, setForSchool] = useState(false);
  const [reason, setReason] = useState('');
  const submit = () => {
    onBan(forSchool, reason.trim());
    onHide();
  };
  return (
    <Dialog
      title={text('lesson.banTitle', { word })}
      onHide={onHide}
      action={{ label: text('lesson.banDo'), run: submit, disabled: forSchool && reason.trim().length === 0 }}
    >
      <Form.Check
        type="radio"
        name="ban"
        id="ban-group"
        label={text('lesson.banGroup')}
        checked={!forSchool}
        onChange={() => setForSchool(false)}
      />
      {isLead && (
        <Form.Check
          type="radio"
          name="ban"
          id="ban-school"
          label={text('lesson.banSchool')}
          checked={forSchool}
          onChange={() => setForSchool(true)}
        />
      )}
      {forSchool && (
        <Form.Group controlId="ban-reason" className="mt-2">
          <Form.Label>{text('lesson.banReason')}</Form.Label>
          <Form.Control value={reason} maxLength={200} onChange={(e) => setReason(e.target.value)} />
        </Form.Group>
      )}
    </Dialog>
  );
}
