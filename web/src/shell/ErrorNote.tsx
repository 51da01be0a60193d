import { Alert, Button } from 'react-bootstrap';
import { ApiProblem } from '../api/client';
import { text } from '../text/text';

/** What happened, what is safe, what to do. */
export function ErrorNote({ problem, retry }: { problem: Error; retry?: () => void }) {
  const sentence =
    problem instanceof ApiProblem && problem.code === 'offline'
      ? text('error.offline')
      : (problem instanceof ApiProblem && problem.message) || text('error.unknown');
  return (
    <Alert
      variant="danger"
      className="d-flex align-items-center justify-content-between gap-3 py-2 px-3 my-2 mx-0 text-body"
    >
      <span>{sentence}</span>
      {retry && (
        <Button variant="outline-danger" size="sm" onClick={retry}>
          {text('error.retry')}
        </Button>
      )}
    </Alert>
  );
}
