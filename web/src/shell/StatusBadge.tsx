import { Badge } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { textOf } from '../text/text';

const LOOK = {
  planned: 'light',
  taught: 'primary',
  stopped: 'warning-subtle',
  'not-taught': 'warning-subtle',
} as const;

/** Where a lesson stands. */
export function StatusBadge({ status }: { status: NonNullable<Schemas['LessonStatus']> }) {
  return (
    <Badge
      pill
      bg={LOOK[status]}
      text={status === 'taught' ? 'white' : 'dark'}
      className={`status status-${status} border fw-normal`}
    >
      {textOf('status', status)}
    </Badge>
  );
}
