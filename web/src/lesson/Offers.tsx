import { useQuery } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { text, textOf } from '../text/text';
import { ItemShown } from './ItemShown';
import { minutesOf, type Command, type LessonView, type PartKind } from './kinds';
import { offersQuery } from './queries';

interface Props {
  part: PartKind;
  view: LessonView;
  busy: boolean;
  onCommand: (command: Command) => void;
}

/** What could be added to a part, each with what it would hold today; then those for which there is too little. */
export function Offers({ part, view, busy, onCommand }: Props) {
  const { school } = useSchool();
  const offers = useQuery(offersQuery(school.id, view.id, view.version, part));
  if (offers.isPending) return <Loading />;
  if (offers.error) return <ErrorNote problem={offers.error} retry={() => void offers.refetch()} />;
  const none = offers.data.filter((o) => !o.activity);
  return (
    <div className="offers bg-white rounded border" data-offers={part}>
      {offers.data.map(
        ({ kind, activity }) =>
          activity && (
            <div key={kind} className="activity-row" data-offer={kind}>
              <header>
                <h3>{textOf('activity', kind)}</h3>
                <span className="quiet small">
                  {textOf('response', activity.response)} ·{' '}
                  {text('part.minutes', { minutes: minutesOf(activity.seconds) })}
                </span>
              </header>
              <div className="offer-items d-flex flex-wrap gap-2 align-items-start">
                {activity.items.map((item) => (
                  <ItemShown key={item.id} item={item} kind={kind} />
                ))}
              </div>
              <span className="activity-actions">
                <Button
                  size="sm"
                  variant="outline-primary"
                  disabled={busy}
                  aria-label={text('lesson.addThis', { activity: textOf('activity', kind) })}
                  onClick={() => onCommand({ type: 'add-activity', kind, part })}
                >
                  {text('lesson.add')}
                </Button>
              </span>
            </div>
          ),
      )}
      {none.length > 0 && (
        <p className="quiet small m-0 p-2">
          {text('lesson.tooFewToday')}{' '}
          {none.map((o) => (
            <Button
              key={o.kind}
              variant="link"
              size="sm"
              className="p-0 me-3"
              disabled={busy}
              onClick={() => onCommand({ type: 'add-activity', kind: o.kind, part })}
            >
              {textOf('activity', o.kind)}
            </Button>
          ))}
        </p>
      )}
    </div>
  );
}
