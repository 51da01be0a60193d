import { useMutation, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { text, textOf } from '../text/text';
import { wordsToWriteQuery, type Level } from './queries';

const TOPICS = [
  'animals',
  'people',
  'things',
  'clothes',
  'food',
  'places',
  'travel',
  'looks',
  'feelings',
  'does',
  'did',
  'doing',
];

interface Props {
  level: Level;
  hasToday: boolean;
  trickyMost: number;
  onTrickyMost: (most: number) => void;
  onInsert: (words: string) => void;
}

/** Words that the readers can read, by what they are about or what they rhyme with, and the bones of a story. */
export function WriteWith({ level, hasToday, trickyMost, onTrickyMost, onInsert }: Props) {
  const { school } = useSchool();
  const [by, setBy] = useState(hasToday ? 'today' : 'animals');
  const [rhyme, setRhyme] = useState('');
  const settled = useDeferredValue(rhyme.trim());
  const asked: Schemas['WordsAsked'] | null =
    by === 'today'
      ? { level, today: true }
      : by === 'rhyme'
        ? settled
          ? { level, rhyme: settled, today: false }
          : null
        : { level, topic: by, today: false };
  const words = useQuery(wordsToWriteQuery(school.id, asked));
  const [seed, setSeed] = useState(1);
  const story = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/texts/story', {
          params: { path: { schoolId: school.id } },
          body: { level, seed },
        }),
      ),
    onSuccess: () => setSeed(seed + 1),
  });
  return (
    <section className="panel write-part" aria-label={text('texts.writeWith')}>
      <h2 className="fs-5">{text('texts.writeWith')}</h2>
      <div className="d-flex flex-wrap gap-3 align-items-end mb-2">
        <Form.Group controlId="write-by">
          <Form.Label className="quiet mb-1">{text('texts.wordsBy')}</Form.Label>
          <Form.Select value={by} onChange={(e) => setBy(e.target.value)}>
            {hasToday && <option value="today">{text('texts.byToday')}</option>}
            <option value="rhyme">{text('texts.byRhyme')}</option>
            {TOPICS.map((t) => (
              <option key={t} value={t}>
                {textOf('topic', t)}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        {by === 'rhyme' && (
          <Form.Group controlId="write-rhyme">
            <Form.Label className="quiet mb-1">{text('texts.rhymeWith')}</Form.Label>
            <Form.Control
              className="literacy"
              value={rhyme}
              maxLength={40}
              onChange={(e) => setRhyme(e.target.value)}
            />
          </Form.Group>
        )}
      </div>
      {asked && words.data && words.data.words.length === 0 && <p className="quiet">{text('texts.noWords')}</p>}
      <div className="text-offers d-flex flex-wrap gap-1 mb-3">
        {asked &&
          (words.data?.words ?? []).map((w) => (
            <Button key={w} size="sm" variant="outline-primary" className="literacy" onClick={() => onInsert(w)}>
              {w}
            </Button>
          ))}
      </div>
      <div className="d-flex flex-wrap gap-3 align-items-center">
        <Button variant="outline-primary" disabled={story.isPending} onClick={() => story.mutate()}>
          {text('texts.bones')}
        </Button>
        <Form.Label className="d-flex align-items-center gap-2 m-0">
          {text('texts.trickyBudget')}
          <Form.Select
            size="sm"
            className="w-auto"
            value={trickyMost}
            onChange={(e) => onTrickyMost(Number(e.target.value))}
          >
            {[2, 4, 6, 8, 12, 99].map((n) => (
              <option key={n} value={n}>
                {n === 99 ? text('texts.anyNumber') : n}
              </option>
            ))}
          </Form.Select>
        </Form.Label>
      </div>
      {story.error && <ErrorNote problem={story.error} />}
      {story.data && story.data.bones.length === 0 && <p className="quiet mt-2 mb-0">{text('texts.noBones')}</p>}
      {story.data && story.data.bones.length > 0 && (
        <ol className="text-bones mt-2 mb-0">
          {story.data.bones.map((b, i) => (
            <li key={b}>
              <span className="quiet">
                {text(i === 0 ? 'texts.bone0' : i === 1 ? 'texts.bone1' : i === 2 ? 'texts.bone2' : 'texts.bone3')}
              </span>{' '}
              <button type="button" className="literacy" onClick={() => onInsert(b)}>
                {b}
              </button>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
