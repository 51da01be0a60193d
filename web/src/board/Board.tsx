import { useEffect, useState } from 'react';
import { useFacts } from '../facts/facts';
import type { LessonView } from '../lesson/kinds';
import { pictureOf } from '../lesson/Picture';
import { useActions } from '../shell/actions';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { BoardSlide } from './BoardSlide';
import { canReveal, picturesOf, shuffled, slidesOf, stepOf } from './slides';

/** The board of any lesson: a group's, or the one a cover adult was given. */
export function Board({
  lesson,
  groupName,
  onLeave,
}: {
  lesson: LessonView['lesson'];
  groupName: string;
  onLeave: () => void;
}) {
  const facts = useFacts();
  const [slides, setSlides] = useState(() => slidesOf(lesson, facts));
  const [at, setAt] = useState(0);
  const [revealed, setRevealed] = useState(false);
  const [blank, setBlank] = useState(false);
  usePageTitle(text('board.title', { group: groupName }));
  useEffect(() => {
    // The faces and the pictures are asked for before the first word needs them, so that a lost server changes nothing
    // on the board.
    void Promise.all([document.fonts.load('96px Andika', 'aɪ'), document.fonts.load('700 96px Andika', 'a')]);
    for (const name of picturesOf(lesson)) new Image().src = pictureOf(name);
    document.documentElement.requestFullscreen?.().catch(() => undefined);
    return () => {
      if (document.fullscreenElement) void document.exitFullscreen();
    };
  }, [lesson]);

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
  useActions([
    { keys: [' ', 'ArrowRight', 'PageDown'], shown: 'Space', label: 'keys.boardOn', run: on },
    { keys: ['Backspace', 'ArrowLeft', 'PageUp'], label: 'keys.boardBack', run: back },
    { keys: ['r'], label: 'keys.boardReveal', run: () => slide && canReveal(slide, facts) && setRevealed(!revealed) },
    { keys: ['s'], label: 'keys.boardShuffle', run: shuffle },
    { keys: ['x'], label: 'keys.boardBlank', run: () => setBlank(!blank) },
    { keys: ['Escape'], shown: 'Esc', label: 'keys.boardLeave', run: onLeave },
  ]);

  return (
    <main className={`board position-fixed${blank ? ' board-blank' : ''}`}>
      <h1 className="visually-hidden">{text('board.title', { group: groupName })}</h1>
      <button
        type="button"
        className="board-stage position-absolute w-100 border-0 bg-transparent text-reset d-flex align-items-center justify-content-center text-center"
        onClick={on}
        aria-label={text('board.position', { at: Math.min(at + 1, slides.length), total: slides.length })}
      >
        {blank ? null : slide ? (
          <BoardSlide slide={slide} revealed={revealed} />
        ) : (
          <span className="board-end">{text('board.end')}</span>
        )}
      </button>
      {slide && !blank && stepOf(slide) && <p className="board-step position-absolute m-0">{text(stepOf(slide)!)}</p>}
      <div className="visually-hidden" aria-live="polite">
        {text('board.position', { at: Math.min(at + 1, slides.length), total: slides.length })}
      </div>
      {at === 0 && !blank && (
        <p className="board-keys position-absolute w-100 m-0 text-center pe-none">{text('board.keys')}</p>
      )}
    </main>
  );
}
