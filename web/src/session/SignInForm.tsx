import { useState, type FormEvent, type ReactNode } from 'react';
import { ApiProblem } from '../api/client';
import { text } from '../text/text';
import { signIn } from './signIn';
import type { Session } from './session';

/**
 * Email address and password. It stands before everything else is fetched, so it is made of Bootstrap's classes alone.
 */
export function SignInForm({
  title,
  children,
  onDone,
}: {
  title: string;
  children?: ReactNode;
  onDone: (session: Session) => void;
}) {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    setProblem(null);
    try {
      onDone(await signIn({ email, password, code }));
    } catch (error) {
      if (error instanceof ApiProblem && error.code === 'code-needed') {
        setCode('');
        return;
      }
      setProblem(
        error instanceof ApiProblem && error.code === 'offline'
          ? text('error.offline')
          : (error instanceof ApiProblem && error.message) || text('error.unknown'),
      );
    } finally {
      setBusy(false);
    }
  };
  return (
    <form onSubmit={(e) => void submit(e)} className="panel sign-in-form p-4 d-grid gap-3">
      <h1>{title}</h1>
      {children}
      <div>
        <label className="form-label" htmlFor="email">
          {text('signIn.email')}
        </label>
        <input
          className="form-control"
          id="email"
          type="email"
          autoComplete="username"
          required
          value={email}
          onChange={(e) => setEmail(e.target.value)}
        />
      </div>
      <div>
        <label className="form-label" htmlFor="password">
          {text('signIn.password')}
        </label>
        <input
          className="form-control"
          id="password"
          type="password"
          autoComplete="current-password"
          required
          value={password}
          onChange={(e) => setPassword(e.target.value)}
        />
      </div>
      {code !== null && (
        <div>
          <label className="form-label" htmlFor="code">
            {text('signIn.code')}
          </label>
          <input
            className="form-control"
            id="code"
            autoComplete="one-time-code"
            inputMode="text"
            required
            value={code}
            onChange={(e) => setCode(e.target.value)}
          />
        </div>
      )}
      {problem && (
        <div className="alert alert-danger" role="alert">
          {problem}
        </div>
      )}
      <button type="submit" className="btn btn-primary btn-lg" disabled={busy}>
        {text('signIn.submit')}
      </button>
    </form>
  );
}
