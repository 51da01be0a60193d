import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { chunkText, isChunk, labelText, soundText, teachingText, text } from '../text/text';
import { Chip } from '../shell/Chip';
import { shown } from '../words/spelling';
import type { Rung, Step } from './editing';
import { TeachingPicker } from './TeachingPicker';

/** What a rung teaches and its tricky words: taken off with one click, added by typing. */
export function TeachForm({ rung, onDo }: { rung: Rung; onDo: (name: string, steps: Step[]) => void }) {
  const [word, setWord] = useState('');
  const notations = rung.correspondences.map((c) => c.notation);
  const teach = (correspondences: string[], patterns: string[], chunks: string[] = rung.chunks) =>
    onDo('teach', [{ $type: 'teach', id: rung.id, correspondences, patterns, chunks }]);
  return (
    <div>
      <ul className="list-unstyled d-flex flex-wrap gap-2 my-2 mx-0" aria-label={text('edit.teaches')}>
        {rung.correspondences.map((c) => (
          <Chip
            key={c.notation}
            off={text('edit.takeOff', { label: c.grapheme })}
            onOff={() =>
              teach(
                notations.filter((n) => n !== c.notation),
                rung.patterns,
              )
            }
          >
            <span className="literacy">{c.grapheme}</span> {soundText(c.sounds)}
          </Chip>
        ))}
        {rung.patterns.map((p) => (
          <Chip
            key={p}
            off={text('edit.takeOff', { label: labelText(p) })}
            onOff={() =>
              teach(
                notations,
                rung.patterns.filter((other) => other !== p),
              )
            }
          >
            {labelText(p)}
          </Chip>
        ))}
        {rung.chunks.map((c) => (
          <Chip
            key={c}
            off={text('edit.takeOff', { label: chunkText(c) })}
            onOff={() =>
              teach(
                notations,
                rung.patterns,
                rung.chunks.filter((other) => other !== c),
              )
            }
          >
            {teachingText(c)}
          </Chip>
        ))}
        {rung.tricky.map((t) => (
          <Chip
            key={t}
            off={text('edit.takeOff', { label: shown(t) })}
            onOff={() => onDo('tricky', [{ $type: 'tricky', word: t, rung: null, at: null }])}
          >
            <span className="literacy">{shown(t)}</span> <span className="quiet">{text('ladder.trickyWord')}</span>
          </Chip>
        ))}
      </ul>
      <TeachingPicker
        not={[...notations, ...rung.patterns, ...rung.chunks]}
        onPick={(what) =>
          isChunk(what)
            ? teach(notations, rung.patterns, [...rung.chunks, what])
            : what.includes('=')
              ? teach([...notations, what], rung.patterns)
              : teach(notations, [...rung.patterns, what])
        }
      />
      <Form
        className="d-flex gap-2 mt-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (word.trim() !== '')
            onDo('tricky', [{ $type: 'tricky', word: word.trim().toLowerCase(), rung: rung.id, at: null }]);
          setWord('');
        }}
      >
        <Form.Control
          size="sm"
          aria-label={text('edit.trickyWord')}
          placeholder={text('edit.trickyWord')}
          maxLength={30}
          value={word}
          onChange={(e) => setWord(e.target.value)}
        />
        <Button size="sm" type="submit" variant="outline-secondary" disabled={word.trim() === ''}>
          {text('edit.put')}
        </Button>
      </Form>
    </div>
  );
}
