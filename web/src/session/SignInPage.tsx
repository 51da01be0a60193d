import { useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useLocation, useNavigate } from 'react-router';
import { ErrorNote } from '../shell/ErrorNote';
import { Mark } from '../shell/Mark';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { useSignIn } from './session';

export function SignInPage() {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const signIn = useSignIn();
  const navigate = useNavigate();
  const from = (useLocation().state as { from?: string } | null)?.from ?? '/';
  usePageTitle(text('signIn.title'));

  const submit = (event: FormEvent) => {
    event.preventDefault();
    signIn.mutate({ email, password }, { onSuccess: () => void navigate(from, { replace: true }) });
  };

  return (
    <main className="sign-in">
      <div className="sign-in-brand">
        <Mark size={72} />
        <p className="sign-in-name">{text('app.name')}</p>
        <p className="quiet">{text('app.about')}</p>
      </div>
      <Form onSubmit={submit} className="panel sign-in-form">
        <h1>{text('signIn.title')}</h1>
        <Form.Group controlId="email">
          <Form.Label>{text('signIn.email')}</Form.Label>
          <Form.Control type="email" autoComplete="username" required value={email} onChange={(e) => setEmail(e.target.value)} />
        </Form.Group>
        <Form.Group controlId="password">
          <Form.Label>{text('signIn.password')}</Form.Label>
          <Form.Control type="password" autoComplete="current-password" required value={password} onChange={(e) => setPassword(e.target.value)} />
        </Form.Group>
        {signIn.error && <ErrorNote problem={signIn.error} />}
        <Button type="submit" size="lg" disabled={signIn.isPending}>
          {text('signIn.submit')}
        </Button>
        <p className="quiet small mb-0">{text('signIn.demo')}</p>
      </Form>
    </main>
  );
}
