import { useQueryClient } from '@tanstack/react-query';
import { Modal } from 'react-bootstrap';
import { text } from '../text/text';
import { sessionQuery } from './queries';
import type { Session } from './session';
import { SignInForm } from './SignInForm';

/**
 * Covers the page of a session that ended, keeps what was typed under it, and goes on where it was; for another person
 * everything starts anew.
 */
export function SignInAgain({ before }: { before: Session }) {
  const queries = useQueryClient();
  const goOn = (now: Session) => {
    const same =
      now.name === before.name && now.schools.map((s) => s.id).join() === before.schools.map((s) => s.id).join();
    if (!same) window.location.assign('/');
    else {
      queries.setQueryData(sessionQuery.queryKey, now);
      void queries.invalidateQueries({ predicate: (q) => q.state.status === 'error' });
    }
  };
  return (
    <Modal show fullscreen animation={false} backdrop="static" keyboard={false} aria-label={text('signIn.again')}>
      <Modal.Body className="min-vh-100 d-grid align-items-center justify-content-center bg-body p-4">
        <SignInForm title={text('signIn.again')} onDone={goOn}>
          <p>{text('signIn.againWhy')}</p>
        </SignInForm>
      </Modal.Body>
    </Modal>
  );
}
