import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { ApiProblem } from '../api/client';
import { text, textOf } from '../text/text';
import { ActivityView } from './ActivityView';
import { minutesOf, type LessonView } from './kinds';
import { Offers } from './Offers';
import { partColours } from './partColours';
import { PartIcon } from './PartIcon';
import { TooFewNote } from './TooFewNote';
import { UseText } from './UseText';
import type { LessonChange } from './useLessonChanges';

interface Props {
  view: LessonView;
  part: LessonView['lesson']['parts'][number];
  editable: boolean;
  say: boolean;
  change: LessonChange;
}

/** True when the last change asked for an activity for which there is too little: its part says what can be done. */
export const isTooFew = (change: LessonChange) =>
  change.error instanceof ApiProblem &&
  change.error.code === 'too-few-words' &&
  change.variables?.type === 'add-activity';

/** A part of the lesson: its name and minutes at the side, its activities in rows. */
export function LessonPart({ view, part, editable, say, change }: Props) {
  const [adding, setAdding] = useState(false);
  const asked = change.variables;
  const tooFew = isTooFew(change) && asked?.type === 'add-activity' && asked.part === part.kind;
  return (
    <section
      className={`lesson-part part part-${part.kind} border rounded`}
      style={partColours(part.kind)}
      aria-labelledby={`part-${part.kind}`}
    >
      <div className="part-side">
        <h2 id={`part-${part.kind}`} className="d-flex align-items-center gap-2 mb-0">
          <PartIcon part={part.kind} /> {textOf('part', part.kind)}
        </h2>
        <span>{text('part.minutes', { minutes: minutesOf(part.seconds ?? 0) })}</span>
        {editable && (
          <Button
            variant="link"
            size="sm"
            className="p-0 text-start"
            aria-expanded={adding}
            aria-label={text('lesson.addTo', { part: textOf('part', part.kind) })}
            onClick={() => setAdding(!adding)}
          >
            {text('lesson.addActivity')}
          </Button>
        )}
      </div>
      <div className="d-grid gap-1">
        {part.activities.map((activity, i) => (
          <ActivityView
            key={activity.id}
            view={view}
            part={part.kind}
            activity={activity}
            at={i}
            of={part.activities.length}
            problems={view.problems}
            editable={editable}
            say={say}
            busy={change.isPending}
            onCommand={(c) => change.mutate(c)}
          />
        ))}
        {tooFew && (
          <TooFewNote problem={change.error as ApiProblem} asked={asked} onCommand={(c) => change.mutate(c)} />
        )}
        {adding && editable && part.kind === 'apply' && (
          <UseText
            busy={change.isPending}
            onUse={(textId) => {
              change.mutate({ type: 'use-text', textId });
              setAdding(false);
            }}
          />
        )}
        {adding && editable && (
          <Offers
            part={part.kind}
            view={view}
            busy={change.isPending}
            onCommand={(c) => {
              change.mutate(c);
              setAdding(false);
            }}
          />
        )}
      </div>
    </section>
  );
}
