import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Button } from 'react-bootstrap';
import { Board } from '../board/Board';
import { useFactsQuery } from '../facts/queries';
import { WithFacts } from '../facts/WithFacts';
import { LessonSheet } from '../lesson/LessonSheet';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { Mark } from '../shell/Mark';
import { usePageTitle } from '../shell/usePageTitle';
import { LessonPackShown } from '../printing/LessonPackShown';
import { applyPaper, applyStyle } from '../style/applyStyle';
import { coverQuery } from './queries';
import { dayText, setLanguage, text } from '../text/text';

/**
 * Today's lesson for a cover adult: no account, no other page, nothing about any child. The key stays behind the # and
 * reaches no server log.
 */
export function CoverPage() {
  const [key] = useState(() => window.location.hash.slice(1));
  const [teaching, setTeaching] = useState(false);
  useFactsQuery(); // asked for at once: the board needs no server once it is open
  const cover = useQuery(coverQuery(key));
  usePageTitle(
    cover.data ? text('cover.page', { group: cover.data.groupName, date: dayText(cover.data.date) }) : text('app.name'),
  );
  useEffect(() => {
    document.documentElement.classList.add('printing');
    return () => document.documentElement.classList.remove('printing');
  }, []);
  if (!key) return <p className="page p-4 my-0 mx-auto">{text('cover.noKey')}</p>;
  if (cover.isPending) return <Loading />;
  if (cover.error) {
    return (
      <main className="page p-4 my-0 mx-auto">
        <ErrorNote problem={cover.error} />
      </main>
    );
  }
  const view = cover.data;
  setLanguage(view.language);
  applyStyle(view.style);
  applyPaper(view.paperSize);
  if (teaching) {
    return (
      <WithFacts>
        <Board
          lesson={view.lesson}
          groupName={view.groupName}
          minutes={view.lessonMinutes}
          tray={null}
          lessonId={null}
          schoolId={null}
          teacherAt={null}
          onClose={null}
          onLeave={() => setTeaching(false)}
        />
      </WithFacts>
    );
  }
  return (
    <main className="page p-4 my-0 mx-auto">
      <div className="no-print d-flex flex-wrap align-items-center gap-3 mb-3">
        <span className="fs-5 d-flex align-items-center gap-2 fw-bold text-body text-decoration-none text-nowrap">
          <Mark /> {view.schoolName}
        </span>
        <span>{text('cover.welcome')}</span>
        <Button onClick={() => setTeaching(true)}>{text('cover.board')}</Button>
        <Button variant="outline-primary" onClick={() => window.print()}>
          {text('lesson.print')}
        </Button>
      </div>
      <LessonSheet lesson={view.lesson} groupName={view.groupName} date={view.date} rungLabel={view.rungLabel} say />
      <LessonPackShown pack={view.pack} paper={view.paperSize} groupName={view.groupName} date={view.date} answers />
    </main>
  );
}
