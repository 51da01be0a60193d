import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useParams } from 'react-router';
import { WithFacts } from '../facts/WithFacts';
import { LessonSheet } from '../lesson/LessonSheet';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, text } from '../text/text';
import { archivedLessonQuery } from './queries';

/** A lesson of a group that has ended, as it was. */
export function ArchivedLessonPage() {
  const { school } = useSchool();
  const { groupId = '', lessonId = '' } = useParams();
  const lesson = useQuery(archivedLessonQuery(school.id, groupId, lessonId));
  const title = lesson.data
    ? text('lesson.title', { group: lesson.data.groupName, date: dayText(lesson.data.date) })
    : text('archive.title');
  usePageTitle(title);
  useEffect(() => {
    document.documentElement.classList.add('printing');
    return () => document.documentElement.classList.remove('printing');
  }, []);
  if (lesson.isPending) return <Loading />;
  if (lesson.error) return <ErrorNote problem={lesson.error} retry={() => void lesson.refetch()} />;
  return (
    <WithFacts>
      <div className="no-print d-flex flex-wrap align-items-center gap-3 mb-3">
        <Button onClick={() => window.print()}>{text('lesson.print')}</Button>
        <Link to={`/archive/${groupId}`}>← {lesson.data.groupName}</Link>
      </div>
      <LessonSheet
        lesson={lesson.data.lesson}
        groupName={lesson.data.groupName}
        date={lesson.data.date}
        rungLabel={lesson.data.rungLabel}
        say={false}
      />
    </WithFacts>
  );
}
