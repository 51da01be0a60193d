import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { text, textOf } from '../text/text';

/** Letters: what goes into an address. */
const LONGEST = 4000;

/** A box for words of one's own; they are looked at when it is left, or at a press. */
export function TypedWords({ words, onWords }: { words: string; onWords: (words: string) => void }) {
  const [typed, setTyped] = useState(words);
  const isTooLong = typed.length > LONGEST;
  return (
    <Form
      className="d-flex flex-wrap gap-2 align-items-end mb-3 no-print"
      onSubmit={(e) => {
        e.preventDefault();
        onWords(typed.trim());
      }}
    >
      <Form.Group controlId="own-words" className="flex-grow-1">
        <Form.Label className="quiet mb-1">{text('paper.words')}</Form.Label>
        <Form.Control
          as="textarea"
          rows={2}
          value={typed}
          isInvalid={isTooLong}
          onChange={(e) => setTyped(e.target.value)}
        />
        <Form.Control.Feedback type="invalid">{text('paper.wordsTooMany', { most: LONGEST })}</Form.Control.Feedback>
      </Form.Group>
      <Button type="submit" disabled={isTooLong}>
        {text('paper.wordsDo')}
      </Button>
    </Form>
  );
}

/** What was asked for and will not be on paper: said before anything is printed. */
export function LeftOutNote({ leftOut }: { leftOut: readonly { what: string; why: string }[] }) {
  if (leftOut.length === 0) return null;
  const whys = [...new Set(leftOut.map((l) => l.why))];
  return (
    <div className="alert alert-warning no-print py-2" role="status">
      {whys.map((why) => (
        <p key={why} className="mb-0">
          {textOf('leftOut', why)}{' '}
          <span className="literacy">
            {leftOut
              .filter((l) => l.why === why)
              .map((l) => l.what)
              .join(', ')}
          </span>
        </p>
      ))}
    </div>
  );
}
