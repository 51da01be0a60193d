import { Alert, Button } from 'react-bootstrap';
import type { ApiProblem, Schemas } from '../api/client';
import { lineText, text } from '../text/text';

interface Props {
  problem: ApiProblem;
  /** What this person wanted to do. */
  mine: string;
  onAgain: () => void;
  onLeave: () => void;
}

/**
 * Two people changed the same thing: what the other did, and what you wanted, side by side; nothing is lost either way.
 */
export function ConflictNote({ problem, mine, onAgain, onLeave }: Props) {
  const since = (problem.more['since'] as Schemas['ChangeView'][] | undefined) ?? [];
  return (
    <Alert variant="warning" className="conflict">
      <p>{problem.message}</p>
      <div className="row-gap-2 column-gap-5 d-flex flex-wrap mb-2">
        {since.map((c) => (
          <div key={c.version}>
            <strong>{c.isMine ? text('conflict.earlier') : text('conflict.theirs', { name: c.by })}</strong>
            {c.lines.map((line, i) => (
              <div key={i}>{lineText(line)}</div>
            ))}
          </div>
        ))}
        <div>
          <strong>{text('conflict.mine')}</strong>
          <div>{mine}</div>
        </div>
      </div>
      <Button size="sm" onClick={onAgain}>
        {text('conflict.again')}
      </Button>{' '}
      <Button size="sm" variant="outline-secondary" onClick={onLeave}>
        {text('conflict.leave')}
      </Button>
    </Alert>
  );
}
