import { useEffect } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useParams } from 'react-router';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { countOf, dayText, isQuietDay, labelText, reasonText, saysText, text, textOf } from '../text/text';
import { GapWord } from '../words/GapWord';
import { MarkedWord } from '../words/MarkedWord';
import { minutesOf, useLesson, type Activity, type LessonView } from './lesson';

/** The lesson on one page of paper, for a teacher's hand: everything to say and show, in order. */
export function LessonPrint() {
  const { groupId = '', date = '' } = useParams();
  const lesson = useLesson(groupId, date);
  if (lesson.isPending) return <Loading />;
  if (lesson.error) return <ErrorNote problem={lesson.error} retry={() => void lesson.refetch()} />;
  return <Page view={lesson.data} />;
}

function Page({ view }: { view: LessonView }) {
  const title = text('lesson.title', { group: view.groupName, date: dayText(view.date) });
  usePageTitle(title);
  useEffect(() => {
    document.documentElement.classList.add('printing');
    return () => document.documentElement.classList.remove('printing');
  }, []);
  return (
    <>
      <p className="no-print">
        <Button onClick={() => window.print()}>{text('lesson.print')}</Button> <Link to={`/groups/${view.groupId}/lessons/${view.date}`}>← {title}</Link>
      </p>
      <div className="sheet">
        <header>
          <h1>{title}</h1>
          <p className="sheet-new">
            {!isQuietDay(view.rungLabel) && text('lesson.new', { what: '' })}
            <span className={view.lesson.target.length > 0 ? 'literacy' : ''}> {labelText(view.rungLabel)}</span>
          </p>
        </header>
        {view.lesson.parts.map((part) => (
          <section key={part.kind}>
            <h2>
              {textOf('part', part.kind)} <span>{text('print.minutes', { minutes: minutesOf(part.seconds ?? 0) })}</span>
            </h2>
            {part.activities.map((activity) => (
              <div key={activity.id} className="sheet-activity">
                <h3>
                  {textOf('activity', activity.kind)} <span>{textOf('response', activity.response)}</span>
                </h3>
                <Items activity={activity} />
              </div>
            ))}
          </section>
        ))}
        <p className="sheet-note">{text('print.note')}</p>
        <footer>{text('print.footer', { group: view.groupName, date: dayText(view.date) })}</footer>
      </div>
    </>
  );
}

function Items({ activity }: { activity: Activity }) {
  return (
    <div className="sheet-items">
      {activity.items.map((item) => {
        switch (item.$type) {
          case 'word':
            return (
              <span key={item.id} className="literacy sheet-word">
                <MarkedWord word={item.word} marks={item.marks} tricky={item.tricky} />
                {activity.kind === 'spell-words' && <small>{countOf(item)}</small>}
              </span>
            );
          case 'card':
            return (
              <span key={item.id} className="sheet-card">
                <b className="literacy">{item.grapheme}</b>
                {activity.kind === 'new-correspondence' && (
                  <span>
                    {saysText(item.sounds, item.keyWord)}.{' '}
                    {text('card.kind', { kind: textOf('kind', item.kind), count: item.letterNames.length, letters: item.letterNames.join(', ') })}
                  </span>
                )}
              </span>
            );
          case 'made-up':
            return (
              <span key={item.id} className="literacy sheet-word">
                <MarkedWord word={item.word} marks={item.marks} />
              </span>
            );
          case 'gap':
            return (
              <span key={item.id} className="literacy sheet-word">
                <GapWord word={item.word} marks={item.marks} gap={item.gap} revealed={false} /> <small>{item.word}</small>
              </span>
            );
          case 'spellings':
            return (
              <span key={item.id}>
                {saysText(item.sounds, item.keyWord)}: <b className="literacy">{item.graphemes.join(' ')}</b>
              </span>
            );
          case 'pattern':
            return <span key={item.id}>{textOf('pattern', item.pattern)}</span>;
          case 'sentence':
            return (
              <span key={item.id}>
                <span className="literacy sheet-sentence">{item.text}</span> <small>{item.reasons.map((r) => reasonText({ ...r, arguments: r.arguments.map(labelText) })).join(' · ')}</small>
              </span>
            );
          default:
            return null;
        }
      })}
    </div>
  );
}
