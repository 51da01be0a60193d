import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Badge, Button, Form } from 'react-bootstrap';
import { answered, client, forgetToken } from '../api/client';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { momentText, text } from '../text/text';
import { Field } from './Field';
import { NewPassword } from './PersonFields';
import { PinForm } from './PinForm';
import { accountQuery } from './queries';
import { SecondFactor } from './SecondFactor';

/** One's own account: password, a code besides, where one is signed in. */
export function AccountPage() {
  const queries = useQueryClient();
  const account = useQuery(accountQuery);
  usePageTitle(text('nav.account'));
  const end = useMutation({
    mutationFn: (sessionId: string) =>
      answered(client.DELETE('/api/account/sessions/{sessionId}', { params: { path: { sessionId } } })),
    onSuccess: () => void queries.invalidateQueries({ queryKey: accountQuery.queryKey }),
  });
  if (account.isPending) return <Loading />;
  if (account.error) return <ErrorNote problem={account.error} retry={() => void account.refetch()} />;
  const { name, email, sessions } = account.data;
  return (
    <>
      <h1>{name}</h1>
      <p className="quiet">{text('account.intro', { email })}</p>
      <div className="row g-3">
        <div className="col-lg-6">
          <ChangePassword />
        </div>
        <div className="col-lg-6">
          <SecondFactor account={account.data} />
        </div>
        <div className="col-lg-6">
          <PinForm hasPin={account.data.hasPin} />
        </div>
        <div className="col-lg-6">
          <section className="panel h-100">
            <h2 className="fs-5">{text('account.sessions')}</h2>
            <ul className="list-unstyled m-0">
              {sessions.map((s) => (
                <li key={s.id} className="d-flex flex-wrap align-items-center gap-3 border-top py-2">
                  <span>{text('account.session', { since: momentText(s.startedAt), seen: momentText(s.seenAt) })}</span>
                  {s.isThis ? (
                    <Badge bg="light" text="dark" className="border">
                      {text('account.here')}
                    </Badge>
                  ) : (
                    <Button
                      className="ms-auto"
                      size="sm"
                      variant="outline-secondary"
                      disabled={end.isPending}
                      onClick={() => end.mutate(s.id)}
                    >
                      {text('account.end')}
                    </Button>
                  )}
                </li>
              ))}
            </ul>
            {end.error && <ErrorNote problem={end.error} />}
          </section>
        </div>
      </div>
    </>
  );
}

function ChangePassword() {
  const queries = useQueryClient();
  const [before, setBefore] = useState('');
  const [after, setAfter] = useState('');
  const change = useMutation({
    mutationFn: () => answered(client.POST('/api/account/password', { body: { before, after } })),
    onSuccess: () => {
      forgetToken();
      setBefore('');
      setAfter('');
      void queries.invalidateQueries({ queryKey: accountQuery.queryKey });
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change.mutate();
  };
  return (
    <Form className="panel h-100 d-grid gap-3 align-content-start" onSubmit={submit}>
      <h2 className="fs-5 m-0">{text('account.password')}</h2>
      <Field
        id="password-before"
        label={text('account.before')}
        type="password"
        autoComplete="current-password"
        value={before}
        onChange={setBefore}
      />
      <NewPassword label={text('account.after')} value={after} onChange={setAfter} />
      {change.error && <ErrorNote problem={change.error} />}
      <div>
        <Button type="submit" disabled={change.isPending}>
          {text('account.change')}
        </Button>{' '}
        <span role="status">{change.isSuccess && text('account.changed')}</span>
      </div>
    </Form>
  );
}
