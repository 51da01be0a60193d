import type { FormEvent, ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { ErrorNote } from '../shell/ErrorNote';
import { Mark } from '../shell/Mark';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';

/** A page at the door: one form, one thing to do. */
export function Door({
  title,
  intro,
  children,
  action,
  problem,
}: {
  title: string;
  intro?: ReactNode;
  children?: ReactNode;
  action?: { label: string; run: () => void; disabled: boolean };
  problem?: Error | null;
}) {
  usePageTitle(title);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (action && !action.disabled) action.run();
  };
  return (
    <main className="container py-4 py-md-5">
      <div className="row justify-content-center">
        <div className="col-lg-8 col-xl-6">
          <p className="d-flex align-items-center gap-2 fw-bold">
            <Mark /> {text('app.name')}
          </p>
          <form className="panel p-4 d-grid gap-3" onSubmit={submit}>
            <h1 className="m-0">{title}</h1>
            {intro && <div className="quiet">{intro}</div>}
            {children}
            {problem && <ErrorNote problem={problem} />}
            {action && (
              <Button type="submit" size="lg" disabled={action.disabled}>
                {action.label}
              </Button>
            )}
          </form>
        </div>
      </div>
    </main>
  );
}
