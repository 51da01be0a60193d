import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { labelText, soundText, text } from '../text/text';
import { shown } from '../words/spelling';
import type { Rung, Step } from './editing';
import { TeachingPicker } from './TeachingPicker';

/** What a rung teaches and its tricky words: taken off with one click, added by typing. */
export function TeachForm({ rung, onDo }: { rung: Rung; onDo: (name: string, steps: Step[]) => void }) {
  const [word, setWord] = useState('');
  const notations = rung.correspondences.map((c) => c.notation);
  const teach = (correspondences: string[], patterns: string[]) => onDo('teach', [{ $type: 'teach', id: rung.id, correspondences, patterns }]);
  return (
    <div className="teach-form">
      <ul className="chips" aria-label={text('edit.teaches')}>
        {rung.correspondences.map((c) => (
          <li key={c.notation}>
            <span className="literacy">{c.grapheme}</span> {soundText(c.sounds)}
            <Gone
              label={c.grapheme}
              onClick={() =>
                teach(
                  notations.filter((n) => n !== c.notation),
                  rung.patterns,
                )
              }
            />
          </li>
        ))}
        {rung.patterns.map((p) => (
          <li key={p}>
            {labelText(p)}
            <Gone
              label={labelText(p)}
              onClick={() =>
                teach(
                  notations,
                  rung.patterns.filter((other) => other !== p),
                )
              }
            />
          </li>
        ))}
        {rung.tricky.map((t) => (
          <li key={t} className="chip-tricky">
            <span className="literacy">{shown(t)}</span> <span className="quiet">{text('ladder.trickyWord')}</span>
            <Gone label={shown(t)} onClick={() => onDo('tricky', [{ $type: 'tricky', word: t, rung: null, at: null }])} />
          </li>
        ))}
      </ul>
      <TeachingPicker
        not={[...notations, ...rung.patterns]}
        onPick={(what) => (what.includes('=') ? teach([...notations, what], rung.patterns) : teach(notations, [...rung.patterns, what]))}
      />
      <Form
        className="inline-form"
        onSubmit={(event) => {
          event.preventDefault();
          if (word.trim() !== '') onDo('tricky', [{ $type: 'tricky', word: word.trim().toLowerCase(), rung: rung.id, at: null }]);
          setWord('');
        }}
      >
        <Form.Control size="sm" aria-label={text('edit.trickyWord')} placeholder={text('edit.trickyWord')} maxLength={30} value={word} onChange={(e) => setWord(e.target.value)} />
        <Button size="sm" type="submit" variant="outline-secondary" disabled={word.trim() === ''}>
          {text('edit.put')}
        </Button>
      </Form>
    </div>
  );
}

function Gone({ label, onClick }: { label: string; onClick: () => void }) {
  return (
    <button type="button" className="chip-gone" aria-label={text('edit.takeOff', { label })} onClick={onClick}>
      ×
    </button>
  );
}
