import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answered, client } from '../api/client';
import { Dialog } from '../shell/Dialog';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import { useAsking } from './asking';

/** Asks for the password once more, before what can't be taken back. */
export function AskAgain() {
  const answer = useAsking();
  return answer && <PasswordDialog onAnswer={answer} />;
}

function PasswordDialog({ onAnswer }: { onAnswer: (confirmed: boolean) => void }) {
  const [password, setPassword] = useState('');
  const confirm = useMutation({
    mutationFn: () => answered(client.POST('/api/account/confirmation', { body: { password } })),
    onSuccess: () => onAnswer(true),
  });
  return (
    <Dialog
      title={text('confirm.title')}
      onHide={() => onAnswer(false)}
      action={{ label: text('confirm.go'), run: () => confirm.mutate(), disabled: confirm.isPending }}
    >
      <p>{text('confirm.why')}</p>
      <Form.Group controlId="confirm-password">
        <Form.Label>{text('confirm.password')}</Form.Label>
        <Form.Control
          type="password"
          required
          autoComplete="current-password"
          value={password}
          onChange={(e) => setPassword(e.target.value)}
        />
      </Form.Group>
      {confirm.error && <ErrorNote problem={confirm.error} />}
    </Dialog>
  );
}
