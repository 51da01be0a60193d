import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { text, textOf } from '../text/text';
import { MarkedWord } from '../words/MarkedWord';
import type { Rung } from './editing';
import { rungWordsQuery, type Ladder } from './queries';

/**
 * The words a rung unlocks with their segmentation, easiest first; cut down by letters, word pattern, position and what
 * children know.
 */
export function RungWords({ ladder, rung }: { ladder: Ladder; rung: Rung }) {
  const { school } = useSchool();
  const [find, setFind] = useState('');
  const [shape, setShape] = useState('');
  const [position, setPosition] = useState('');
  const [knownOnly, setKnownOnly] = useState(false);
  const words = useQuery(rungWordsQuery(school.id, ladder, rung.id));
  if (words.isPending) return <Loading />;
  if (words.error) return <ErrorNote problem={words.error} retry={() => void words.refetch()} />;
  const all = words.data;
  const shapes = [...new Set(all.map((w) => w.shape))].sort((a, b) => a.length - b.length || a.localeCompare(b));
  const positions = ['start', 'middle', 'end'].filter((p) => all.some((w) => w.position === p));
  const matching = all.filter(
    (w) =>
      w.word.includes(find.trim().toLowerCase()) &&
      (w.knownAtFive || !knownOnly) &&
      (shape === '' || w.shape === shape) &&
      (position === '' || w.position === position),
  );
  return (
    <>
      <h3>{text('ladder.unlocked', { count: all.length })}</h3>
      {all.length === 0 && <p className="quiet">{text('ladder.noWords')}</p>}
      {all.length > 8 && (
        <div className="d-flex flex-wrap gap-2 mb-2">
          <Form.Control
            className="w-auto flex-grow-1"
            type="search"
            aria-label={text('ladder.search')}
            placeholder={text('ladder.search')}
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
          <Form.Select
            className="w-auto"
            aria-label={text('ladder.shape')}
            value={shape}
            onChange={(e) => setShape(e.target.value)}
          >
            <option value="">{text('ladder.anyShape')}</option>
            {shapes.map((s) => (
              <option key={s}>{s}</option>
            ))}
          </Form.Select>
          {positions.length > 1 && (
            <Form.Select
              className="w-auto"
              aria-label={text('ladder.position')}
              value={position}
              onChange={(e) => setPosition(e.target.value)}
            >
              <option value="">{text('ladder.anyPosition')}</option>
              {positions.map((p) => (
                <option key={p} value={p}>
                  {textOf('position', p)}
                </option>
              ))}
            </Form.Select>
          )}
        </div>
      )}
      {rung.knownWords > 0 && rung.knownWords < all.length && (
        <Form.Check
          id="known-only"
          className="mb-3"
          label={`${text('ladder.knownOnly')} (${rung.knownWords})`}
          checked={knownOnly}
          onChange={(e) => setKnownOnly(e.target.checked)}
        />
      )}
      {all.length > 0 && matching.length === 0 && (
        <p className="quiet">{find === '' ? text('ladder.noneLeft') : text('ladder.noMatch', { text: find })}</p>
      )}
      <ul className="rung-words list-unstyled d-flex flex-wrap row-gap-2 column-gap-4 fs-4">
        {matching.map((w) => (
          <li key={w.word} title={`/${w.phonemes.replaceAll('|', ' ')}/`}>
            <MarkedWord word={w.word} marks={w.marks} />
          </li>
        ))}
      </ul>
    </>
  );
}
