import { useState, type FormEvent, type ReactNode } from 'react';
import { Button, Form } from 'react-bootstrap';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import { useSignIn, type Session } from './session';

/** Email address and password. */
export function SignInForm({ title, children, onDone }: { title: string; children?: ReactNode; onDone: (session: Session) => void }) {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const signIn = useSignIn();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    signIn.mutate({ email, password }, { onSuccess: onDone });
  };
  return (
    <Form onSubmit={submit} className="panel sign-in-form">
      <h1>{title}</h1>
      {children}
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
    </Form>
  );
}
