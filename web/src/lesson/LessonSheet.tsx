import { dayText, isQuietDay, labelText, text, textOf } from '../text/text';
import { AdultItem } from './AdultItem';
import { LevelsLine } from './LevelsLine';
import { linesText, releaseText, sayText, sharedText } from './said';
import { useOnePage } from './useOnePage';
import { minutesOf, type LessonView } from './kinds';

interface Props {
  lesson: LessonView['lesson'];
  groupName: string;
  date: string;
  rungLabel: string;
  /** With a line of what to say for each activity, in place of the box for notes. */
  say: boolean;
}

/** A lesson on a page: everything to show and say, in order. */
export function LessonSheet({ lesson, groupName, date, rungLabel, say }: Props) {
  const sheet = useOnePage();
  return (
    <div ref={sheet} className={`sheet${say ? ' sheet-say' : ''}`}>
      <header>
        <h1>{text('lesson.title', { group: groupName, date: dayText(date) })}</h1>
        <p className="sheet-new">
          {!isQuietDay(rungLabel) && text('lesson.new', { what: '' })}
          <span className={lesson.target.length > 0 ? 'literacy' : ''}> {labelText(rungLabel)}</span>
        </p>
      </header>
      {say && <p className="sheet-clean">{text('cover.clean')}</p>}
      {lesson.parts.map((part) => (
        <section key={part.kind}>
          <h2>
            {textOf('part', part.kind)} <span>{text('print.minutes', { minutes: minutesOf(part.seconds ?? 0) })}</span>
          </h2>
          {part.activities.map((activity) => (
            <div key={activity.id}>
              <h3>
                {textOf('activity', activity.kind)}{' '}
                <span>
                  {textOf('response', activity.response)}
                  {activity.steps && ` · ${releaseText(activity.steps)}`}
                </span>
              </h3>
              {say && <p className="sheet-line">{sayText(activity)}</p>}
              {!say && (sharedText(activity) || linesText(activity)) && (
                <p className="sheet-line">{sharedText(activity) || linesText(activity)}</p>
              )}
              <div className="sheet-items">
                {activity.items.map((item) => (
                  <AdultItem key={item.id} item={item} activity={activity} />
                ))}
              </div>
              {(activity.levels || activity.kind === 'read-words') && <LevelsLine activity={activity} />}
            </div>
          ))}
        </section>
      ))}
      {lesson.remark && (
        <p>
          {text('print.note')} {lesson.remark}
        </p>
      )}
      {!say && <p className="sheet-note">{text('print.note')}</p>}
      <footer>{text('print.footer', { group: groupName, date: dayText(date) })}</footer>
    </div>
  );
}
