import { Button, Form } from 'react-bootstrap';
import { activityFacts, useFacts } from '../facts/facts';
import { text, textOf } from '../text/text';
import type { Activity, Command, LessonView, PartKind } from './kinds';
import { TypeOwn } from './TypeOwn';
import { UseText } from './UseText';

interface Props {
  view: LessonView;
  part: PartKind;
  activity: Activity;
  /** Its place in its part, and how many there are. */
  at: number;
  of: number;
  busy: boolean;
  onCommand: (command: Command) => void;
}

/** What can be done with an activity as a whole: its minutes, its place, words of one's own. */
export function ActivityTools({ view, part, activity, at, of, busy, onCommand }: Props) {
  const known = activityFacts(useFacts(), activity.kind);
  const name = textOf('activity', activity.kind);
  const activityId = activity.id;
  return (
    <div className="activity-tools d-flex flex-wrap align-items-center gap-2 bg-body border rounded py-2 px-3">
      <Form.Label className="d-flex align-items-center gap-2 m-0">
        {text('lesson.length')}{' '}
        <Form.Select
          size="sm"
          value={Math.max(1, Math.round(activity.seconds / 60))}
          disabled={busy}
          aria-label={text('lesson.lengthFor', { activity: name })}
          onChange={(e) => onCommand({ type: 'set-length', activityId, seconds: Number(e.target.value) * 60 })}
        >
          {Array.from({ length: 15 }, (_, i) => (
            <option key={i} value={i + 1}>
              {i + 1}
            </option>
          ))}
        </Form.Select>
      </Form.Label>
      <Button
        variant="outline-secondary"
        size="sm"
        disabled={busy || at === 0}
        aria-label={text('lesson.moveUpFor', { activity: name })}
        onClick={() => onCommand({ type: 'move-activity', activityId, place: at - 1 })}
      >
        {text('lesson.moveUp')}
      </Button>
      <Button
        variant="outline-secondary"
        size="sm"
        disabled={busy || at === of - 1}
        aria-label={text('lesson.moveDownFor', { activity: name })}
        onClick={() => onCommand({ type: 'move-activity', activityId, place: at + 1 })}
      >
        {text('lesson.moveDown')}
      </Button>
      <Button
        variant="outline-secondary"
        size="sm"
        disabled={busy}
        aria-label={text('lesson.dropFor', { activity: name })}
        onClick={() => onCommand({ type: 'drop-activity', activityId })}
      >
        {text('lesson.drop')}
      </Button>
      {activity.kind === 'read-text' && (
        <UseText busy={busy} onUse={(textId) => onCommand({ type: 'use-text', textId })} />
      )}
      {known.takes !== 'none' && (
        <TypeOwn
          view={view}
          part={part}
          activity={activity}
          busy={busy}
          onAdd={(typed, anyway) => onCommand({ type: 'add-text', activityId, text: typed, anyway })}
        />
      )}
    </div>
  );
}
