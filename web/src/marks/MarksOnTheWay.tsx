import { Alert } from 'react-bootstrap';
import { useMatch } from 'react-router';
import { text } from '../text/text';
import { useQueue } from './useQueue';

/** Marks that were made without network are sent from whatever page is open; that some still wait is said. */
export function MarksOnTheWay() {
  const { kept } = useQueue();
  const there = useMatch('/groups/:groupId/lessons/:date/marks');
  if (there || kept.waiting.length === 0) return null;
  return (
    <Alert variant="light" className="py-1 px-2 border small" role="status">
      {text('marks.waiting', { marks: kept.waiting.length })}
    </Alert>
  );
}
