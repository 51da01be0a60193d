import { useEffect, useRef, useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import '../../text/lessons';
import { answered, client } from '../../api/client';
import { FactsContext, type Facts } from '../../facts/facts';
import { Mark } from '../../shell/Mark';
import { usePageTitle } from '../../shell/usePageTitle';
import { applyStyle } from '../../style/applyStyle';
import { setLanguage, text } from '../../text/text';
import { slidesNow, type BoardEvent, type BoardState } from '../state';
import { TeacherPanel } from '../TeacherPanel';
import type { BoardHere } from '../useBoard';
import type { RemoteLink } from './link';
import type { FromBoard, FromPhone, RemoteLesson } from './messages';

const KEY = 'bold-remote';

/** A phone that leads a board: a code is typed once, then it shows what the teacher's window shows. No account. */
export function RemotePage() {
  const [facts, setFacts] = useState<Facts | null>(null);
  const [lesson, setLesson] = useState<RemoteLesson | null>(null);
  const [state, setState] = useState<BoardState | null>(null);
  const [quiet, setQuiet] = useState<'remote.lost' | 'remote.wrong' | 'remote.over' | 'remote.noServer' | null>(null);
  const [code, setCode] = useState('');
  const [link, setLink] = useState<RemoteLink | null>(null);
  usePageTitle(text('remote.title'));

  const enter = async (by: string) => {
    setQuiet(null);
    await link?.end(false);
    let key = by;
    const over = () => {
      sessionStorage.removeItem(KEY);
      setLesson(null);
      setQuiet('remote.over');
      void made.end(false);
    };
    const { RemoteLink: Link } = await import('./link');
    const made = new Link(
      async (hub) => {
        const given = await hub.invoke<string | null>('Phone', key);
        if (!given) return false;
        key = given;
        sessionStorage.setItem(KEY, key);
        await hub.send('Say', { is: 'hello' } satisfies FromPhone);
        return true;
      },
      (isLost) => setQuiet((now) => (isLost ? (now ?? 'remote.lost') : null)),
      {
        over,
        said: (message) => {
          const said = message as FromBoard;
          if (said.is === 'lesson') {
            setLanguage(said.lesson.language);
            applyStyle(said.lesson.style);
            setLesson(said.lesson);
          } else if (said.is === 'state') setState(said.state);
        },
      },
    );
    setLink(made);
    try {
      if (await made.start()) return;
      sessionStorage.removeItem(KEY);
      setQuiet(by.length > 10 ? 'remote.over' : 'remote.wrong');
      await made.end(false);
    } catch {
      setQuiet('remote.noServer');
    }
  };
  useEffect(() => () => void link?.end(false), [link]);
  const back = useRef(enter);
  useEffect(() => {
    answered(client.GET('/api/facts'))
      .then(setFacts)
      .catch(() => setQuiet('remote.noServer'));
    const key = sessionStorage.getItem(KEY);
    if (key) void back.current(key);
  }, []);

  const happen = (event: BoardEvent) => link?.say({ is: 'event', event } satisfies FromPhone);
  if (facts && lesson && state) {
    return (
      <FactsContext value={facts}>
        <main className="teacher-window remote mx-auto">
          <h1 className="visually-hidden">{text('teacher.title', { group: lesson.groupName })}</h1>
          {quiet && (
            <p className="flag-note m-3 py-2 px-3 rounded" role="status">
              {text(quiet)}
            </p>
          )}
          <TeacherPanel board={boardOf(lesson, facts, state, happen)} minutes={lesson.minutes} onClose={null} />
        </main>
      </FactsContext>
    );
  }
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void enter(code);
  };
  return (
    <main className="page p-4 mx-auto remote-door">
      <p className="fs-5 fw-bold d-flex align-items-center gap-2">
        <Mark /> {text('app.name')}
      </p>
      <h1>{text('remote.title')}</h1>
      <p>{text('remote.intro')}</p>
      <Form onSubmit={submit}>
        <Form.Label htmlFor="remote-code">{text('remote.code')}</Form.Label>
        <Form.Control
          id="remote-code"
          className="fs-2 mb-3"
          inputMode="numeric"
          autoComplete="one-time-code"
          maxLength={7}
          value={code}
          onChange={(e) => setCode(e.target.value)}
        />
        <Button type="submit" size="lg" disabled={code.replace(/\D/g, '').length !== 6}>
          {text('remote.enter')}
        </Button>
      </Form>
      {quiet && (
        <p className="mt-3" role="alert">
          {text(quiet)}
        </p>
      )}
    </main>
  );
}

/** The board as the phone sees it: what is pressed here happens there. */
function boardOf(of: RemoteLesson, facts: Facts, state: BoardState, happen: (event: BoardEvent) => void): BoardHere {
  const slides = slidesNow(of.lesson, facts, state.orders);
  return {
    state,
    slides,
    slide: slides[state.at],
    lesson: of.lesson,
    isUnkept: false,
    isChanged: false,
    happen,
    on: () => happen({ is: 'on', now: Date.now() }),
    back: () => happen({ is: 'went', to: state.at - 1, now: Date.now() }),
    renew: () => undefined,
  };
}
