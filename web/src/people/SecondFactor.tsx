import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { answered, client, forgetToken, type Schemas } from '../api/client';
import { Dialog } from '../shell/Dialog';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import { Field } from './Field';
import { KeyPicture } from './KeyPicture';
import { accountQuery } from './queries';

/** A code of an authenticator app besides the password: turned on, off, and ten codes to write down. */
export function SecondFactor({ account }: { account: Schemas['AccountView'] }) {
  const queries = useQueryClient();
  const [code, setCode] = useState('');
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  const [asks, setAsks] = useState<'codes' | 'off' | null>(null);
  const [password, setPassword] = useState('');
  const changed = () => {
    // The antiforgery token belongs to the cookie, which is another one now.
    forgetToken();
    void queries.invalidateQueries({ queryKey: accountQuery.queryKey });
  };
  const begin = useMutation({
    mutationFn: () => answered(client.POST('/api/account/second-factor/key')),
    onSuccess: forgetToken,
  });
  const turnOn = useMutation({
    mutationFn: () => answered(client.POST('/api/account/second-factor', { body: { code } })),
    onSuccess: (made) => {
      setCodes(made.codes);
      changed();
    },
  });
  const confirm = useMutation({
    mutationFn: async () => {
      if (asks === 'off') {
        await answered(client.POST('/api/account/second-factor/off', { body: { password } }));
        return null;
      }
      return (await answered(client.POST('/api/account/second-factor/codes', { body: { password } }))).codes;
    },
    onSuccess: (made) => {
      setCodes(made);
      setAsks(null);
      setPassword('');
      begin.reset();
      changed();
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    turnOn.mutate();
  };
  return (
    <section className="panel h-100 d-grid gap-3 align-content-start">
      <h2 className="fs-5 m-0">{text('account.factor')}</h2>
      <p className="quiet m-0">
        {account.hasSecondFactor ? text('account.factorOn', { left: account.codesLeft }) : text('account.factorWhy')}
      </p>
      {!account.hasSecondFactor && !begin.data && (
        <div>
          <Button disabled={begin.isPending} onClick={() => begin.mutate()}>
            {text('account.begin')}
          </Button>
        </div>
      )}
      {!account.hasSecondFactor && begin.data && (
        <Form className="d-grid gap-3" onSubmit={submit}>
          <KeyPicture rows={begin.data.picture} label={text('account.picture')} />
          <p className="m-0">{text('account.key')}</p>
          <p className="font-monospace fs-5 m-0 user-select-all">{begin.data.key}</p>
          <a href={begin.data.address}>{text('account.openApp')}</a>
          <Field
            id="factor-code"
            label={text('account.code')}
            autoComplete="one-time-code"
            value={code}
            onChange={setCode}
          />
          {turnOn.error && <ErrorNote problem={turnOn.error} />}
          <div>
            <Button type="submit" disabled={turnOn.isPending}>
              {text('account.turnOn')}
            </Button>
          </div>
        </Form>
      )}
      {account.hasSecondFactor && (
        <div className="d-flex flex-wrap gap-2">
          <Button variant="outline-primary" onClick={() => setAsks('codes')}>
            {text('account.newCodes')}
          </Button>
          <Button variant="outline-secondary" onClick={() => setAsks('off')}>
            {text('account.turnOff')}
          </Button>
        </div>
      )}
      {begin.error && <ErrorNote problem={begin.error} />}
      {codes && (
        <Dialog title={text('account.codes')} onHide={() => setCodes(null)} cancel={text('account.codesDone')}>
          <p>{text('account.codesWhy')}</p>
          <ul className="list-unstyled font-monospace fs-5 row row-cols-2 m-0">
            {codes.map((c) => (
              <li key={c}>{c}</li>
            ))}
          </ul>
        </Dialog>
      )}
      {asks && (
        <Dialog
          title={text(asks === 'off' ? 'account.turnOff' : 'account.newCodes')}
          onHide={() => setAsks(null)}
          action={{
            label: text(asks === 'off' ? 'account.turnOff' : 'account.newCodes'),
            run: () => confirm.mutate(),
            disabled: confirm.isPending,
          }}
        >
          <Field
            id="factor-password"
            label={text('account.confirm')}
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={setPassword}
          />
          {confirm.error && <ErrorNote problem={confirm.error} />}
        </Dialog>
      )}
    </section>
  );
}
