import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form, Modal } from 'react-bootstrap';
import { answered, client } from '../api/client';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import { setLocked } from './locked';
import { useSignOut } from './session';
import { goSignIn } from './signIn';

/** Covers a locked page and keeps it; the PIN or the password opens it where it was. */
export function LockCover() {
  const queries = useQueryClient();
  const [secret, setSecret] = useState('');
  const open = useMutation({
    mutationFn: () => answered(client.POST('/api/account/unlock', { body: { secret } })),
    onSuccess: () => {
      setLocked(false);
      void queries.invalidateQueries({ predicate: (q) => q.state.status === 'error' || q.queryKey[0] === 'session' });
    },
    onError: () => setSecret(''),
  });
  const signOut = useSignOut();
  const leave = () =>
    signOut.mutate(false, {
      onSettled: () => {
        setLocked(false);
        goSignIn();
      },
    });
  return (
    <Modal show fullscreen animation={false} backdrop="static" keyboard={false} aria-label={text('lock.title')}>
      <Modal.Body className="min-vh-100 d-grid align-items-center justify-content-center bg-body p-4">
        <Form
          onSubmit={(e) => {
            e.preventDefault();
            open.mutate();
          }}
        >
          <h1>{text('lock.title')}</h1>
          <p>{text('lock.why')}</p>
          <Form.Group controlId="lock-secret" className="mb-3">
            <Form.Label>{text('lock.secret')}</Form.Label>
            <Form.Control
              type="password"
              required
              autoComplete="current-password"
              value={secret}
              onChange={(e) => setSecret(e.target.value)}
            />
          </Form.Group>
          {open.error && <ErrorNote problem={open.error} />}
          <div className="d-flex flex-wrap gap-3 align-items-center">
            <Button type="submit" size="lg" disabled={open.isPending}>
              {text('lock.open')}
            </Button>
            <Button variant="link" onClick={leave}>
              {text('lock.other')}
            </Button>
          </div>
        </Form>
      </Modal.Body>
    </Modal>
  );
}
