import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { answered, client } from '../api/client';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import { Field } from './Field';
import { accountQuery } from './queries';

/** The PIN that opens a locked screen. */
export function PinForm({ hasPin }: { hasPin: boolean }) {
  const queries = useQueryClient();
  const [pin, setPin] = useState('');
  const [password, setPassword] = useState('');
  const save = useMutation({
    mutationFn: (next: string | null) => answered(client.POST('/api/account/pin', { body: { password, pin: next } })),
    onSuccess: () => {
      setPin('');
      setPassword('');
      void queries.invalidateQueries({ queryKey: accountQuery.queryKey });
    },
  });
  return (
    <Form
      className="panel h-100 d-grid gap-3 align-content-start"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate(pin);
      }}
    >
      <h2 className="fs-5 m-0">{text('pin.title')}</h2>
      <p className="m-0">
        {text('pin.why')} {hasPin && <strong>{text('pin.has')}</strong>}
      </p>
      <Field id="pin" label={text('pin.pin')} type="password" autoComplete="off" value={pin} onChange={setPin} />
      <Field
        id="pin-password"
        label={text('pin.password')}
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={setPassword}
      />
      {save.error && <ErrorNote problem={save.error} />}
      <div className="d-flex flex-wrap gap-2 align-items-center">
        <Button type="submit" disabled={save.isPending}>
          {text('pin.save')}
        </Button>
        {hasPin && (
          <Button
            variant="outline-secondary"
            disabled={save.isPending || password === ''}
            onClick={() => save.mutate(null)}
          >
            {text('pin.off')}
          </Button>
        )}
        <span role="status">{save.isSuccess && text('pin.saved')}</span>
      </div>
    </Form>
  );
}
