import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { text } from '../text/text';
import type { Rung, Step } from './editing';

/** Why a rung may have few words: said by the school, so that it is not warned of. */
export function ReasonForm({ rung, onDo }: { rung: Rung; onDo: (name: string, steps: Step[]) => void }) {
  const [reason, setReason] = useState('');
  if (rung.reason) {
    return (
      <Button
        variant="link"
        size="sm"
        className="px-0"
        onClick={() => onDo('reason', [{ $type: 'reason', id: rung.id, reason: null }])}
      >
        {text('edit.reasonGone')}
      </Button>
    );
  }
  if (!rung.warnings.some((w) => w.code === 'thin')) return null;
  return (
    <Form
      className="d-flex gap-2 mt-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') onDo('reason', [{ $type: 'reason', id: rung.id, reason: reason.trim() }]);
      }}
    >
      <Form.Control
        size="sm"
        aria-label={text('edit.reason')}
        placeholder={text('edit.reason')}
        maxLength={120}
        value={reason}
        onChange={(e) => setReason(e.target.value)}
      />
      <Button size="sm" type="submit" variant="outline-secondary">
        {text('edit.reasonGive')}
      </Button>
    </Form>
  );
}
