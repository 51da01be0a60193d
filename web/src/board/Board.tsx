import { useEffect, useMemo, useRef, useState, type PointerEvent } from 'react';
import type { LessonView } from '../lesson/kinds';
import { useActions, type Action } from '../shell/actions';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { boardActions } from './boardActions';
import { BoardSlide } from './BoardSlide';
import { useBoardWay } from './boardWay';
import { Dock } from './ink/Dock';
import { InkLayer } from './ink/InkLayer';
import type { Tool } from './ink/strokes';
import { forgetBoard } from './link';
import { prepare } from './prepare';
import { Sheet } from './Sheet';
import { useRemote } from './remote/useRemote';
import { ListShown } from './shown/ListShown';
import { TrayContext } from './shown/tray';
import { stepOf } from './slides';
import { placeOf } from './state';
import { TeacherStrip } from './TeacherStrip';
import { useBoard } from './useBoard';
import { useVoices } from './voices';

interface Props {
  lesson: LessonView['lesson'];
  groupName: string;
  minutes: number;
  /** Every grapheme taught so far, for tiles; null where it is not known. */
  tray: readonly string[] | null;
  /** What the windows of the lesson share goes by; null where there is but this one, and nothing is kept. */
  lessonId: string | null;
  /** Whose school it is, for a phone that leads; null where no phone can. */
  schoolId: string | null;
  /** Where the teacher's window is; null where there is none. */
  teacherAt: string | null;
  /** To where the lesson is closed; null for who closes none. */
  onClose: (() => void) | null;
  onLeave: () => void;
}

/** A finger that went so far across the board wanted on or back. */
const A_SWIPE = 80;

/** The board of any lesson: a group's, or the one a cover adult was given. */
export function Board({ lesson, groupName, minutes, tray, lessonId, schoolId, teacherAt, onClose, onLeave }: Props) {
  const board = useBoard(lesson, lessonId);
  const { state, slides, slide, happen, on, back } = board;
  const [isStrip, setStrip] = useState(false);
  const [isBlocked, setBlocked] = useState(false);
  const [tool, setTool] = useState<Tool | null>(null);
  const [way, setWay] = useBoardWay();
  usePageTitle(text('board.title', { group: groupName }));
  useEffect(() => {
    prepare(lesson);
    document.documentElement.requestFullscreen?.().catch(() => undefined);
    return () => {
      if (document.fullscreenElement) void document.exitFullscreen();
    };
  }, [lesson]);
  useTimer(state.isBlank ? null : state.every, on);

  const voices = useVoices(schoolId, board.lesson);
  const remoteOf = useMemo(
    () => (schoolId && lessonId ? { schoolId, lessonId, lesson: board.lesson, groupName, minutes } : null),
    [schoolId, lessonId, board.lesson, groupName, minutes],
  );
  const remote = useRemote(remoteOf, state, happen);
  const end = (then: () => void) => {
    if (lessonId && !slide) {
      forgetBoard(lessonId);
      remote.over();
    }
    then();
  };
  const leave = () => end(onLeave);
  // A browser that keeps windows back gives none: then there is the strip.
  const openTeacher = () => setBlocked(window.open(teacherAt!, `bold-teacher-${lessonId}`, 'popup') === null);
  const choose = (next: Tool) => setTool(tool === next ? null : next);
  const actions: Action[] = [
    ...boardActions(board),
    { keys: ['d'], label: 'keys.boardPen', run: () => choose('pen') },
    { keys: ['h'], label: 'keys.boardHighlighter', run: () => choose('highlighter') },
    { keys: ['e'], label: 'keys.boardEraser', run: () => choose('eraser') },
    { keys: ['v'], label: 'keys.boardVoice', run: () => voices.say(slide) },
    { keys: ['n'], label: 'keys.boardStrip', run: () => setStrip(!isStrip) },
    ...(remoteOf ? [{ keys: ['m'], label: 'keys.boardRemote', run: remote.turn } satisfies Action] : []),
    ...(teacherAt ? [{ keys: ['t'], label: 'keys.boardTeacher', run: openTeacher } satisfies Action] : []),
    // First the pen is laid down.
    { keys: ['Escape'], shown: 'Esc', label: 'keys.boardLeave', run: () => (tool ? setTool(null) : leave()) },
  ];
  useActions(actions);
  const quiet = isBlocked
    ? text('board.blocked')
    : remote.place.is === 'failed' || remote.place.is === 'lost'
      ? text(`remote.${remote.place.is}`)
      : board.isUnkept
        ? text('board.unkept')
        : board.isChanged
          ? text('board.changed')
          : null;
  const place = placeOf(state, slide);
  const position = text('board.position', { at: Math.min(state.at + 1, slides.length), total: slides.length });
  const swipe = useSwipe(on, back);

  return (
    <main
      className={[
        'board position-fixed',
        state.isBlank && 'board-blank',
        isStrip && 'board-with-strip',
        way.isDark && 'board-dark',
      ]
        .filter(Boolean)
        .join(' ')}
    >
      <h1 className="visually-hidden">{text('board.title', { group: groupName })}</h1>
      <button
        type="button"
        className="board-stage position-absolute w-100 border-0 bg-transparent text-reset"
        aria-label={position}
        {...swipe}
      />
      {!state.isBlank && (
        <TrayContext value={tray}>
          <div className="board-content position-absolute d-flex align-items-center justify-content-center text-center">
            {state.sheet ? (
              <Sheet kind={state.sheet} />
            ) : !slide ? (
              <span className="board-end">{text('board.end')}</span>
            ) : state.isList ? (
              <ListShown items={inOrder(slides, slide.activity.id)} out={state.pointer} />
            ) : (
              <BoardSlide
                key={slide.id}
                slide={slide}
                step={state.step}
                pointer={state.pointer}
                put={state.put[place] ?? []}
                onPut={(what) => happen({ is: 'put', what })}
              />
            )}
          </div>
          <InkLayer strokes={state.ink[place] ?? []} tool={tool} happen={happen} />
        </TrayContext>
      )}
      {!slide && !state.isBlank && onClose && (
        <button
          type="button"
          className="btn btn-primary btn-lg board-close position-absolute"
          onClick={() => {
            remote.over();
            onClose();
          }}
        >
          {text('board.close')}
        </button>
      )}
      {slide && !state.isBlank && !state.sheet && stepOf(slide) && (
        <p className="board-step position-absolute m-0">{text(stepOf(slide)!)}</p>
      )}
      <div className="visually-hidden" aria-live="polite">
        {position}
      </div>
      {((state.at === 0 && !state.isBlank) || quiet) && (
        <p className="board-keys position-absolute w-100 m-0 text-center pe-none">{quiet ?? text('board.keys')}</p>
      )}
      {!state.isBlank && <Dock state={state} tool={tool} onTool={setTool} happen={happen} way={way} onWay={setWay} />}
      {voices.cue && !state.isBlank && (
        <p className="board-cue position-absolute m-0" role="status">
          {voices.cue}
        </p>
      )}
      {remote.place.is === 'waiting' && (
        <p className="board-code position-absolute m-0" role="status">
          {text('remote.onBoard', { address: `${window.location.host}/remote` })}{' '}
          <strong>{`${remote.place.code.slice(0, 3)} ${remote.place.code.slice(3)}`}</strong>
        </p>
      )}
      {isStrip && (
        <div className="board-strip position-absolute w-100 shadow">
          <TeacherStrip board={board} minutes={minutes} />
        </div>
      )}
    </main>
  );
}

/** The items of an activity as they are shown now. */
const inOrder = (slides: readonly { activity: { id: string }; item: LessonItem | null }[], activityId: string) =>
  slides.flatMap((s) => (s.activity.id === activityId && s.item ? [s.item] : []));

type LessonItem = LessonView['lesson']['parts'][number]['activities'][number]['items'][number];

/** Goes on by itself after so many seconds each. */
function useTimer(every: number | null, on: () => void) {
  const latest = useRef(on);
  useEffect(() => {
    latest.current = on;
  });
  useEffect(() => {
    if (every === null) return undefined;
    const timer = setInterval(() => latest.current(), every * 1000);
    return () => clearInterval(timer);
  }, [every]);
}

/** A click goes on; a finger that goes left goes on too, one that goes right goes back. */
function useSwipe(on: () => void, back: () => void) {
  const from = useRef<number | null>(null);
  const hasSwiped = useRef(false);
  return {
    onPointerDown: (e: PointerEvent) => {
      hasSwiped.current = false;
      from.current = e.clientX;
    },
    onPointerUp: (e: PointerEvent) => {
      const by = from.current === null ? 0 : e.clientX - from.current;
      from.current = null;
      if (Math.abs(by) < A_SWIPE) return;
      hasSwiped.current = true;
      if (by < 0) on();
      else back();
    },
    onClick: () => {
      if (!hasSwiped.current) on();
      hasSwiped.current = false;
    },
  };
}
