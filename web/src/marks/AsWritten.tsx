import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { text, textOf } from '../text/text';
import { made, ofChild } from './marking';
import { attemptQuery, type Seen } from './queries';
import type { WayProps } from './ways';

const OWN: readonly Seen[] = ['right', 'plausible', 'look-alike', 'order', 'wrong', 'missing'];

/** What a child wrote, marked grapheme by grapheme; the adult may say otherwise. */
export function AsWritten({ view, word, all, mark }: WayProps) {
  const [child, setChild] = useState(view.children.find((c) => !c.isAway)?.id ?? '');
  return (
    <div className="mark-written">
      <Form.Group controlId="mark-child" className="mb-2">
        <Form.Label className="quiet mb-1">{text('marks.who')}</Form.Label>
        <Form.Select value={child} onChange={(e) => setChild(e.target.value)}>
          {view.children.map((c) => {
            const seen = ofChild(all, c.id, word.word, word.graphemes.length);
            return (
              <option key={c.id} value={c.id} disabled={c.isAway}>
                {c.name}
                {c.isAway ? ` (${text('marks.away')})` : seen.some((s) => s !== null) ? ' ✓' : ''}
              </option>
            );
          })}
        </Form.Select>
      </Form.Group>
      {child && (
        <Attempt
          key={`${child}|${word.word}`}
          view={view}
          word={word}
          onKeep={(written, verdicts) => {
            mark(made('written', word.word, { childId: child, written, verdicts }));
            const at = view.children.findIndex((c) => c.id === child);
            setChild(view.children.slice(at + 1).find((c) => !c.isAway)?.id ?? child);
          }}
        />
      )}
    </div>
  );
}

interface AttemptProps extends Pick<WayProps, 'view' | 'word'> {
  onKeep: (written: string, verdicts: Seen[] | null) => void;
}

function Attempt({ view, word, onKeep }: AttemptProps) {
  const { school } = useSchool();
  const [written, setWritten] = useState('');
  const [own, setOwn] = useState<Record<number, Seen>>({});
  const settled = useDeferredValue(written.trim());
  const found = useQuery(attemptQuery(school.id, view.lessonId, word.word, settled));
  const verdicts = settled === '' ? [] : (found.data?.verdicts ?? []);
  const now = verdicts.map((v, i) => own[i] ?? v.seen);
  return (
    <Form
      onSubmit={(e) => {
        e.preventDefault();
        if (written.trim() !== '') onKeep(written.trim(), Object.keys(own).length > 0 ? now : null);
      }}
    >
      <Form.Group controlId="mark-written" className="mb-2">
        <Form.Label className="quiet mb-1">{text('marks.wrote', { word: word.word })}</Form.Label>
        <Form.Control
          className="literacy fs-3"
          autoCapitalize="off"
          autoComplete="off"
          autoCorrect="off"
          spellCheck={false}
          maxLength={64}
          value={written}
          onChange={(e) => {
            setWritten(e.target.value);
            setOwn({});
          }}
        />
      </Form.Group>
      {found.error && settled !== '' && <ErrorNote problem={found.error} />}
      <ul className="mark-verdicts list-unstyled">
        {verdicts.map((v, i) => (
          <li key={`${v.grapheme}${i}`}>
            <span className="literacy fs-4">{v.grapheme}</span>
            <span className="literacy quiet">{v.written || '–'}</span>
            <Form.Select
              size="sm"
              aria-label={text('marks.verdictOf', { letters: v.grapheme })}
              value={now[i]}
              onChange={(e) => setOwn({ ...own, [i]: e.target.value as Seen })}
            >
              {OWN.map((o) => (
                <option key={o} value={o}>
                  {textOf('marks.seen', o)}
                </option>
              ))}
            </Form.Select>
            {v.asSpoken && <span className="quiet small">{text('marks.asSpoken')}</span>}
          </li>
        ))}
      </ul>
      {settled !== '' && (found.data?.extra.length ?? 0) > 0 && (
        <p className="small mb-2">{text('marks.extra', { letters: found.data!.extra.join(', ') })}</p>
      )}
      <Button type="submit" className="mark-next" disabled={written.trim() === ''}>
        {text('marks.keepWritten')}
      </Button>
    </Form>
  );
}
