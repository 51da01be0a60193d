import { useCallback, useEffect, useRef, useState } from 'react';
import { answered, client } from '../../api/client';
import type { LessonView } from '../../lesson/kinds';
import { languageNow } from '../../text/text';
import type { BoardEvent, BoardState } from '../state';
import type { RemoteLink } from './link';
import { eventOf, withoutInk, type FromBoard, type FromPhone } from './messages';

/** Where the board is with its phone. */
export type RemotePlace =
  | { is: 'none' }
  | { is: 'waiting'; code: string }
  | { is: 'here' }
  /** The link of the board is lost: teaching goes on, the phone does nothing until it is back. */
  | { is: 'lost' }
  | { is: 'failed' };

interface Of {
  schoolId: string;
  lessonId: string;
  lesson: LessonView['lesson'];
  groupName: string;
  minutes: number;
}

/** Opens a board for a phone, by a code; what the phone does happens here, and it is told where the lesson stands. */
export function useRemote(of: Of | null, state: BoardState, happen: (event: BoardEvent) => void) {
  const [place, setPlace] = useState<RemotePlace>({ is: 'none' });
  const link = useRef<RemoteLink | null>(null);
  const latest = useRef({ state, happen });
  useEffect(() => {
    latest.current = { state, happen };
    if (place.is === 'here') link.current?.say({ is: 'state', state: withoutInk(state) } satisfies FromBoard);
  });
  useEffect(() => () => void link.current?.end(false), []);

  const open = useCallback(async () => {
    if (!of) return;
    setPlace({ is: 'none' });
    await link.current?.end(false);
    const path = { schoolId: of.schoolId, lessonId: of.lessonId };
    try {
      const [room, style, { RemoteLink: Link }] = await Promise.all([
        answered(client.POST('/api/schools/{schoolId}/lessons/{lessonId}/remote', { params: { path } })),
        answered(client.GET('/api/schools/{schoolId}/style', { params: { path: { schoolId: of.schoolId } } })),
        import('./link'),
      ]);
      const tell = () => {
        const { lesson, groupName, minutes } = of;
        const shown = { lesson: { ...lesson, remark: null }, groupName, minutes, language: languageNow(), style };
        made.say({ is: 'lesson', lesson: shown } satisfies FromBoard);
        made.say({ is: 'state', state: withoutInk(latest.current.state) } satisfies FromBoard);
        setPlace({ is: 'here' });
      };
      const made = new Link(
        (hub) => hub.invoke<boolean>('Board', room.token),
        (isLost) =>
          setPlace((now) => (isLost && now.is !== 'none' ? { is: 'lost' } : now.is === 'lost' ? { is: 'here' } : now)),
        {
          joined: () => undefined,
          said: (message) => {
            if ((message as FromPhone | null)?.is === 'hello') return tell();
            const event = eventOf(message);
            if (event) latest.current.happen(event);
          },
        },
      );
      link.current = made;
      await made.start();
      setPlace({ is: 'waiting', code: room.code });
    } catch {
      setPlace({ is: 'failed' });
    }
  }, [of]);
  return {
    place,
    /** Shows a code, or takes the one that is shown away. */
    turn: () => (place.is === 'waiting' ? setPlace({ is: 'none' }) : void open()),
    over: () => void link.current?.end(true),
  };
}
