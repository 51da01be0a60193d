import { Alert, Button } from 'react-bootstrap';
import type { ApiProblem } from '../api/client';
import { teachingText, text, textOf } from '../text/text';
import type { ActivityKind, Command } from './kinds';

/** An activity that can't be filled today, and what can be done instead. */
export function TooFewNote({
  problem,
  asked,
  onCommand,
}: {
  problem: ApiProblem;
  asked: Command;
  onCommand: (command: Command) => void;
}) {
  const kinds = (problem.more['kinds'] ?? []) as ActivityKind[];
  const earlier = problem.more['earlier'] as string | null;
  return (
    <Alert variant="warning">
      <p className="mb-1">
        {text('lesson.tooFew', { activity: textOf('activity', 'kind' in asked ? asked.kind : '') })}
      </p>
      {earlier && <p className="mb-1">{text('lesson.earlier', { what: teachingText(earlier) })}</p>}
      {kinds.length > 0 && (
        <p className="mb-0 d-flex flex-wrap gap-2 align-items-center">
          {text('lesson.tryInstead')}{' '}
          {kinds.slice(0, 6).map((kind) => (
            <Button
              key={kind}
              size="sm"
              variant="outline-primary"
              onClick={() => onCommand({ ...asked, kind } as Command)}
            >
              {textOf('activity', kind)}
            </Button>
          ))}
        </p>
      )}
    </Alert>
  );
}
