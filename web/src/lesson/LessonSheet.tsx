import { countOf, dayText, isQuietDay, labelText, saysText, text, textOf, trickyWay } from '../text/text';
import { MarkedWord } from '../words/MarkedWord';
import { LevelsLine } from './LevelsLine';
import { linesText, releaseText, sayText, sharedText } from './said';
import { CardSounds } from './CardSounds';
import { flagOf } from './flags';
import { ItemShown } from './ItemShown';
import { useOnePage } from './useOnePage';
import { minutesOf, type Activity, type Item, type LessonView } from './kinds';

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
                  <SheetItem key={item.id} item={item} activity={activity} />
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

function SheetItem({ item, activity }: { item: Item; activity: Activity }) {
  if (item.$type === 'word' && (activity.kind === 'hear-sound' || !flagOf(item.reasons))) {
    return (
      <span className="literacy sheet-word">
        <MarkedWord word={item.word} marks={item.marks} tricky={item.tricky} chunks={item.chunks ?? []} />
        {(activity.kind === 'spell-words' || activity.kind === 'spell-tricky') && <small>{countOf(item)}</small>}
        {item.tricky.length > 0 && trickyWay() === 'by-heart' && activity.kind === 'new-tricky-word' && (
          <small>{[...item.word].join(' · ')}</small>
        )}
        {item.sentence && <small>“{item.sentence}”</small>}
        {item.meaning && <small>({item.meaning})</small>}
      </span>
    );
  }
  if (item.$type === 'card' && activity.kind === 'new-correspondence') {
    return (
      <span className="sheet-card">
        <b className="literacy">{item.grapheme}</b>
        <span>
          {saysText(item.sounds, item.keyWord)}.{' '}
          {text('card.kind', {
            kind: textOf('kind', item.kind),
            count: item.letterNames.length,
            letters: item.letterNames.join(', '),
          })}{' '}
          {text(item.canBeHeld ? 'card.held' : 'card.short')}
        </span>
      </span>
    );
  }
  if (item.$type === 'card' && item.positions) {
    const at = item.positions;
    return (
      <span>
        <b className="literacy">{item.grapheme}</b> {text('card.start')} {at.start}%{' '}
        <span className="literacy">{at.startExample}</span> · {text('card.middle')} {at.middle}%{' '}
        <span className="literacy">{at.middleExample}</span> · {text('card.end')} {at.end}%{' '}
        <span className="literacy">{at.endExample}</span>
      </span>
    );
  }
  if (item.$type === 'card' && !['mouth-cue', 'memory-phrase'].includes(activity.kind) && !item.own?.formation)
    return (
      <span className="sheet-grapheme">
        <b className="literacy">{item.grapheme}</b>
        {(activity.kind === 'grapheme-cards' || activity.kind === 'last-miss') && (
          <small>
            <CardSounds item={item} />
          </small>
        )}
      </span>
    );
  return <ItemShown item={item} kind={activity.kind} print />;
}
