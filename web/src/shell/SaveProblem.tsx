import { Alert, Button } from 'react-bootstrap';
import { ApiProblem } from '../api/client';
import { text } from '../text/text';
import { ErrorNote } from './ErrorNote';

/**
 * Why something was not saved. Where someone else saved meanwhile, the choice: see theirs, or lay what was typed over
 * it.
 */
export function SaveProblem({ problem, onMine }: { problem: Error; onMine: (stamp: string) => void }) {
  const stamp =
    problem instanceof ApiProblem && problem.code === 'changed-meanwhile' ? problem.more['stamp'] : undefined;
  if (typeof stamp !== 'string') return <ErrorNote problem={problem} />;
  return (
    <Alert
      variant="warning"
      className="d-flex align-items-center justify-content-between gap-3 py-2 px-3 my-2 mx-0 text-body"
    >
      <span>{problem.message}</span>
      <Button
        variant="outline-primary"
        size="sm"
        onClick={() => window.open(window.location.href, '_blank', 'noopener')}
      >
        {text('save.theirs')}
      </Button>
      <Button variant="outline-primary" size="sm" type="button" onClick={() => onMine(stamp)}>
        {text('save.mine')}
      </Button>
    </Alert>
  );
}
