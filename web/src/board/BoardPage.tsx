import { useQuery } from '@tanstack/react-query';
import { useNavigate, useParams } from 'react-router';
import { lessonQuery } from '../lesson/queries';
import { mayChange } from '../people/roles';
import { useSchool } from '../session/session';
import { type LessonView } from '../lesson/kinds';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { Board } from './Board';

/** The big screen: one thing at a time, no chrome. Needs no request once the lesson is there. */
export function BoardPage() {
  const { groupId = '', date = '' } = useParams();
  const { school } = useSchool();
  const lesson = useQuery(lessonQuery(school.id, groupId, date));
  if (lesson.isPending) return <Loading />;
  if (lesson.error && !lesson.data) return <ErrorNote problem={lesson.error} retry={() => void lesson.refetch()} />;
  return <OpenBoard view={lesson.data} />;
}

function OpenBoard({ view }: { view: LessonView }) {
  const navigate = useNavigate();
  const { school } = useSchool();
  return (
    <Board
      lesson={view.lesson}
      groupName={view.groupName}
      minutes={view.lessonMinutes}
      tray={view.tray ?? null}
      lessonId={view.id}
      schoolId={school.id}
      teacherAt={`/s/${school.id}/groups/${view.groupId}/lessons/${view.date}/board/teacher`}
      onClose={
        mayChange(school.role) ? () => void navigate(`/groups/${view.groupId}/lessons/${view.date}?close`) : null
      }
      onLeave={() => void navigate(`/groups/${view.groupId}/lessons/${view.date}`)}
    />
  );
}
