import { useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useLesson, type LessonView } from '../lesson/lesson';
import { ErrorNote } from '../shell/ErrorNote';
import { useKeys } from '../shell/keys';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { BoardSlide } from './BoardSlide';
import { canReveal, shuffled, slidesOf } from './slides';

/** The big screen: one thing at a time, no chrome. Needs no request once the lesson is there. */
export function BoardPage() {
  const { groupId = '', date = '' } = useParams();
  const lesson = useLesson(groupId, date);
  if (lesson.isPending) return <Loading />;
  if (lesson.error && !lesson.data) return <ErrorNote problem={lesson.error} retry={() => void lesson.refetch()} />;
  return <Board view={lesson.data} />;
}

function Board({ view }: { view: LessonView }) {
  const [slides, setSlides] = useState(() => slidesOf(view.lesson));
  const [at, setAt] = useState(0);
  const [revealed, setRevealed] = useState(false);
  const [blank, setBlank] = useState(false);
  const navigate = useNavigate();
  usePageTitle(text('board.title', { group: view.groupName }));
  useEffect(() => {
    // The faces are asked for before the first word needs them, so that a lost server changes nothing on the board.
    void Promise.all([document.fonts.load('96px Andika', 'aɪ'), document.fonts.load('700 96px Andika', 'a')]);
    document.documentElement.requestFullscreen?.().catch(() => undefined);
    return () => {
      if (document.fullscreenElement) void document.exitFullscreen();
    };
  }, []);

  const slide = slides[at];
  const go = (by: number) => {
    setBlank(false);
    setRevealed(false);
    setAt(Math.min(slides.length, Math.max(0, at + by)));
  };
  const on = () => go(1);
  const back = () => go(-1);
  const shuffle = () => {
    if (!slide) return;
    setSlides(shuffled(slides, slide.activity.id));
    setRevealed(false);
    const first = slides.findIndex((s) => s.activity.id === slide.activity.id && s.item);
    if (first >= 0) setAt(first);
  };
  const leave = () => void navigate(`/groups/${view.groupId}/lessons/${view.date}`);
  useKeys({
    ' ': on,
    ArrowRight: on,
    PageDown: on,
    ArrowLeft: back,
    PageUp: back,
    Backspace: back,
    r: () => slide && canReveal(slide) && setRevealed(!revealed),
    s: shuffle,
    x: () => setBlank(!blank),
    Escape: leave,
  });

  return (
    <main className={`board${blank ? ' board-blank' : ''}`}>
      <h1 className="visually-hidden">{text('board.title', { group: view.groupName })}</h1>
      <button type="button" className="board-stage" onClick={on} aria-label={text('board.position', { at: Math.min(at + 1, slides.length), total: slides.length })}>
        {blank ? null : slide ? <BoardSlide slide={slide} revealed={revealed} /> : <span className="board-end">{text('board.end')}</span>}
      </button>
      <div className="visually-hidden" aria-live="polite">
        {text('board.position', { at: Math.min(at + 1, slides.length), total: slides.length })}
      </div>
      {at === 0 && !blank && <p className="board-keys">{text('board.keys')}</p>}
    </main>
  );
}
