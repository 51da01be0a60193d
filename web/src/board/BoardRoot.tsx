import { useEffect, useState } from 'react';
import '../text/lessons';
import { ApiProblem, answered, client, type Schemas } from '../api/client';
import { FactsContext, type Facts } from '../facts/facts';
import { readLesson } from '../lesson/openLesson';
import { goSignIn } from '../session/signIn';
import { mayChange } from '../people/roles';
import { keepOffline } from '../shell/offline';
import { applyStyle } from '../style/applyStyle';
import { setLanguage, text } from '../text/text';
import { boardAt } from './address';
import { Board } from './Board';
import { TeacherWindow } from './TeacherWindow';

interface Ready {
  facts: Facts;
  mayClose: boolean;
  view: Schemas['LessonView'];
}

/** The board opened at its own address, or loaded again: it fetches what it shows and nothing of the rest. */
export function BoardRoot() {
  const [ready, setReady] = useState<Ready | null>(null);
  const [problem, setProblem] = useState<Error | null>(null);
  const { schoolId, groupId, date, isTeachers } = boardAt(window.location.pathname)!;
  const lessonPage = `/s/${schoolId}/groups/${groupId}/lessons/${date}`;
  useEffect(() => {
    keepOffline();
    const path = { schoolId };
    const load = async () => {
      const session = await answered(client.GET('/api/session'));
      const school = session?.schools.find((s) => s.id === schoolId);
      if (!session) return goSignIn(window.location.pathname);
      // Someone else's school: its page says so.
      if (!school) return window.location.assign(lessonPage);
      const [facts, style, view] = await Promise.all([
        answered(client.GET('/api/facts')),
        answered(client.GET('/api/schools/{schoolId}/style', { params: { path } })),
        readLesson(schoolId, groupId, date),
      ]);
      setLanguage(school.language);
      applyStyle(style);
      setReady({ facts, view, mayClose: mayChange(school.role) });
    };
    load().catch(setProblem);
  }, [schoolId, groupId, date, lessonPage]);
  if (problem)
    return (
      <main className="page p-4 my-0 mx-auto" role="alert">
        <p>{problem instanceof ApiProblem && problem.message ? problem.message : text('error.offline')}</p>
        <button type="button" className="btn btn-primary" onClick={() => window.location.reload()}>
          {text('error.reload')}
        </button>
      </main>
    );
  if (!ready)
    return (
      <p className="quiet py-4" role="status">
        {text('loading')}
      </p>
    );
  const close = ready.mayClose ? () => window.location.assign(`${lessonPage}?close`) : null;
  const leave = () => window.location.assign(lessonPage);
  return (
    <FactsContext value={ready.facts}>
      {isTeachers ? (
        <TeacherWindow view={ready.view} onClose={close} />
      ) : (
        <Board
          lesson={ready.view.lesson}
          groupName={ready.view.groupName}
          minutes={ready.view.lessonMinutes}
          tray={ready.view.tray ?? null}
          lessonId={ready.view.id}
          schoolId={schoolId}
          teacherAt={`${lessonPage}/board/teacher`}
          onClose={close}
          onLeave={leave}
        />
      )}
    </FactsContext>
  );
}
