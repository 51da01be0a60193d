import { useEffect } from 'react';
import type { LessonView } from '../lesson/kinds';
import { useActions } from '../shell/actions';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { boardActions } from './boardActions';
import { prepare } from './prepare';
import { TeacherPanel } from './TeacherPanel';
import { useBoard } from './useBoard';

/** The teacher's own window beside the class's: it follows, and is followed. */
export function TeacherWindow({ view, onClose }: { view: LessonView; onClose: (() => void) | null }) {
  const board = useBoard(view.lesson, view.id);
  useEffect(() => prepare(view.lesson), [view.lesson]);
  usePageTitle(text('teacher.title', { group: view.groupName }));
  useActions(boardActions(board));
  return (
    <main className="teacher-window mx-auto">
      <h1 className="visually-hidden">{text('teacher.title', { group: view.groupName })}</h1>
      {board.isUnkept && <p className="flag-note m-3 py-2 px-3 rounded">{text('board.unkept')}</p>}
      {board.isChanged && (
        <p className="flag-note m-3 py-2 px-3 rounded">
          {text('board.changed')}{' '}
          <button type="button" className="btn btn-outline-secondary btn-sm" onClick={board.renew}>
            {text('board.takeNew')}
          </button>
        </p>
      )}
      <TeacherPanel board={board} minutes={view.lessonMinutes} onClose={onClose} />
    </main>
  );
}
