import { useState, type FormEvent } from 'react';
import { Button, Form, Modal } from 'react-bootstrap';
import { useSchool } from '../session/session';
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
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onBan(forSchool, reason.trim());
    onHide();
  };
  return (
    <Modal show onHide={onHide} animation={false} aria-labelledby="ban-title">
      <Modal.Body as="form" onSubmit={submit}>
        <h2 id="ban-title">{text('lesson.banTitle', { word })}</h2>
        <Form.Check type="radio" name="ban" id="ban-group" label={text('lesson.banGroup')} checked={!forSchool} onChange={() => setForSchool(false)} />
        {isLead && <Form.Check type="radio" name="ban" id="ban-school" label={text('lesson.banSchool')} checked={forSchool} onChange={() => setForSchool(true)} />}
        {forSchool && (
          <Form.Group controlId="ban-reason" className="mt-2">
            <Form.Label>{text('lesson.banReason')}</Form.Label>
            <Form.Control value={reason} maxLength={200} onChange={(e) => setReason(e.target.value)} />
          </Form.Group>
        )}
        <div className="dialog-actions mt-3">
          <Button type="submit" disabled={forSchool && reason.trim().length === 0}>
            {text('lesson.banDo')}
          </Button>
          <Button variant="outline-secondary" onClick={onHide}>
            {text('close.cancel')}
          </Button>
        </div>
      </Modal.Body>
    </Modal>
  );
}
