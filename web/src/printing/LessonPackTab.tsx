import { useQuery } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { lessonQuery } from '../lesson/queries';
import { LessonSheet } from '../lesson/LessonSheet';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { text } from '../text/text';
import { LessonPackShown } from './LessonPackShown';
import { lessonPackQuery, type Day } from './queries';

/** One lesson for somebody who has never seen the room: plan, what to say, sheets, cards, in one printing. */
export function LessonPackTab({ day }: { day: Day }) {
  const { school } = useSchool();
  const lesson = useQuery(lessonQuery(day.schoolId, day.groupId, day.date));
  const pack = useQuery(lessonPackQuery(day));
  if (lesson.isPending || pack.isPending) return <Loading />;
  const problem = lesson.error ?? pack.error;
  if (problem) return <ErrorNote problem={problem} />;
  const view = lesson.data!;
  return (
    <>
      <div className="no-print d-flex flex-wrap align-items-center gap-3 mb-3">
        <Button onClick={() => window.print()}>{text('gather.print')}</Button>
        <span className="quiet">
          {text('pack.help', { cards: pack.data!.cards.length, sheets: pack.data!.sheets.length })}
        </span>
      </div>
      <LessonSheet lesson={view.lesson} groupName={view.groupName} date={view.date} rungLabel={view.rungLabel} say />
      <LessonPackShown paper={school.paperSize} pack={pack.data!} groupName={view.groupName} date={view.date} answers />
    </>
  );
}
