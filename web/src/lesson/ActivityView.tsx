import { Fragment, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { isOnlySaid } from '../board/slides';
import { activityFacts, useFacts } from '../facts/facts';
import { text, textOf } from '../text/text';
import { ActivityTools } from './ActivityTools';
import { ChecklistEditor } from './Checklist';
import { ItemShown } from './ItemShown';
import { ItemTile } from './ItemTile';
import { LevelsLine } from './LevelsLine';
import { NewCard } from './NewCard';
import { linesText, releaseText, sayText, sharedText } from './said';
import { minutesOf, type Activity, type Command, type LessonView, type PartKind } from './kinds';
import { tileOf } from './why';

interface Props {
  view: LessonView;
  part: PartKind;
  activity: Activity;
  /** Its place in its part, and how many there are. */
  at: number;
  of: number;
  problems: Schemas['ItemProblem'][];
  editable: boolean;
  say: boolean;
  busy: boolean;
  onCommand: (command: Command) => void;
}

/** A row of the lesson: what is done and how, what with, and what can be changed. */
export function ActivityView(props: Props) {
  const { activity, problems, editable, say, busy, onCommand } = props;
  const [open, setOpen] = useState(false);
  const facts = useFacts();
  const known = activityFacts(facts, activity.kind);
  const name = textOf('activity', activity.kind);
  const changeable = editable && !known.fixed;
  const isBroken = (id: string) => problems.some((p) => p.itemId === id);
  const isSaid = activity.items.some((i) => i.$type !== 'clue' && isOnlySaid(i));
  return (
    <article className="activity-row bg-white rounded" data-activity={activity.id}>
      <header>
        <h3>{name}</h3>
        <span className="quiet small">
          {textOf('response', activity.response)} · {text('part.minutes', { minutes: minutesOf(activity.seconds) })}
          {activity.steps && <span className="d-block">{releaseText(activity.steps)}</span>}
        </span>
      </header>
      <div className="activity-body">
        {say && <p className="say bg-body py-1 px-3 mb-1">{sayText(activity)}</p>}
        {(isSaid || sharedText(activity)) && (
          <p className="quiet small mb-1">
            {sharedText(activity)} {isSaid && text('lesson.onlySaid')}
          </p>
        )}
        <div className="d-flex flex-wrap gap-2 align-items-start">
          {activity.items.map((item) => {
            const tile = tileOf(item, activity.kind, facts);
            if (tile)
              return (
                <ItemTile
                  key={tile.id}
                  item={tile}
                  kind={activity.kind}
                  broken={isBroken(item.id)}
                  editable={changeable}
                  busy={busy}
                  onCommand={onCommand}
                />
              );
            if (
              item.$type === 'card' &&
              (activity.kind === 'new-correspondence' || activity.kind === 'where-it-stands')
            )
              return <NewCard key={item.id} item={item} />;
            return (
              <Fragment key={item.id}>
                <ItemShown item={item} kind={activity.kind} broken={isBroken(item.id)} />
                {editable && item.$type === 'prompt' && item.checklist && (
                  <ChecklistEditor
                    lines={item.checklist}
                    busy={busy}
                    onSave={(lines) => onCommand({ type: 'set-checklist', itemId: item.id, lines })}
                  />
                )}
              </Fragment>
            );
          })}
        </div>
        {linesText(activity) && !say && <p className="quiet small mb-0 mt-1">{linesText(activity)}</p>}
        {(activity.levels || activity.kind === 'read-words') && <LevelsLine activity={activity} />}
      </div>
      <span className="activity-actions">
        {changeable && (
          <Button
            variant="link"
            size="sm"
            disabled={busy}
            aria-label={text('lesson.othersFor', { activity: name })}
            onClick={() => onCommand({ type: 'choose-others', activityId: activity.id })}
          >
            {text('lesson.others')}
          </Button>
        )}
        {editable && (
          <Button
            variant="link"
            size="sm"
            aria-expanded={open}
            aria-label={text('lesson.moreFor', { activity: name })}
            onClick={() => setOpen(!open)}
          >
            {text('lesson.more')}
          </Button>
        )}
      </span>
      {open && editable && <ActivityTools {...props} />}
    </article>
  );
}
