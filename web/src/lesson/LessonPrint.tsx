import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useParams, useSearchParams } from 'react-router';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, text } from '../text/text';
import { lessonQuery } from './queries';
import { type LessonView } from './kinds';
import { LessonSheet } from './LessonSheet';

/** The lesson on one page of paper, for a teacher's hand; with what to say, for a cover adult. */
export function LessonPrint() {
  const { groupId = '', date = '' } = useParams();
  const { school } = useSchool();
  const lesson = useQuery(lessonQuery(school.id, groupId, date));
  if (lesson.isPending) return <Loading />;
  if (lesson.error) return <ErrorNote problem={lesson.error} retry={() => void lesson.refetch()} />;
  return <Page view={lesson.data} />;
}

function Page({ view }: { view: LessonView }) {
  const [params, setParams] = useSearchParams();
  const say = params.get('say') === '1';
  const title = text('lesson.title', { group: view.groupName, date: dayText(view.date) });
  usePageTitle(title);
  useEffect(() => {
    document.documentElement.classList.add('printing');
    return () => document.documentElement.classList.remove('printing');
  }, []);
  return (
    <>
      <div className="no-print d-flex flex-wrap align-items-center gap-3 mb-3">
        <Button onClick={() => window.print()}>{text('lesson.print')}</Button>
        <Form.Check
          type="switch"
          id="with-say"
          label={text('lesson.say')}
          checked={say}
          onChange={(e) => setParams(e.target.checked ? { say: '1' } : {}, { replace: true })}
        />
        <Link to={`/groups/${view.groupId}/lessons/${view.date}`}>← {title}</Link>
      </div>
      <LessonSheet
        lesson={view.lesson}
        groupName={view.groupName}
        date={view.date}
        rungLabel={view.rungLabel}
        say={say}
      />
    </>
  );
}
