import { Alert, Button } from 'react-bootstrap';
import { ApiProblem } from '../api/client';
import { text } from '../text/text';

/** What happened, what is safe, what to do. */
export function ErrorNote({ problem, retry }: { problem: Error; retry?: () => void }) {
  const sentence =
    problem instanceof ApiProblem && problem.code === 'offline' ? text('error.offline') : (problem instanceof ApiProblem && problem.message) || text('error.unknown');
  return (
    <Alert variant="danger" className="error-note">
      <span>{sentence}</span>
      {retry && (
        <Button variant="outline-danger" size="sm" onClick={retry}>
          {text('error.retry')}
        </Button>
      )}
    </Alert>
  );
}
