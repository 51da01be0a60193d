import { useState, type FormEvent, type ReactNode } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { text } from '../text/text';

interface Props {
  book: Schemas['BookRequest'];
  busy: boolean;
  save: string;
  onSave: (book: Schemas['BookRequest']) => void;
  children?: ReactNode;
}

/** What a book is called, how many there are, and its words. */
export function BookForm({ book, busy, save, onSave, children }: Props) {
  const [now, setNow] = useState(book);
  const set = (change: Partial<Schemas['BookRequest']>) => setNow({ ...now, ...change });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onSave(now);
  };
  return (
    <Form onSubmit={submit} className="d-grid gap-2">
      <Form.Group controlId="book-title">
        <Form.Label className="quiet mb-1">{text('texts.bookTitle')}</Form.Label>
        <Form.Control value={now.title} maxLength={120} onChange={(e) => set({ title: e.target.value })} />
      </Form.Group>
      <div className="d-flex gap-2 flex-wrap">
        <Form.Group controlId="book-label">
          <Form.Label className="quiet mb-1">{text('texts.bookLabel')}</Form.Label>
          <Form.Control value={now.label} maxLength={40} onChange={(e) => set({ label: e.target.value })} />
        </Form.Group>
        <Form.Group controlId="book-pages">
          <Form.Label className="quiet mb-1">{text('texts.bookPages')}</Form.Label>
          <Form.Control
            type="number"
            min={0}
            max={2000}
            value={now.pages}
            onChange={(e) => set({ pages: Number(e.target.value) })}
          />
        </Form.Group>
        <Form.Group controlId="book-copies">
          <Form.Label className="quiet mb-1">{text('texts.bookCopies')}</Form.Label>
          <Form.Control
            type="number"
            min={0}
            max={1000}
            value={now.copies}
            onChange={(e) => set({ copies: Number(e.target.value) })}
          />
        </Form.Group>
      </div>
      <Form.Group controlId="book-body">
        <Form.Label className="quiet mb-1">{text('texts.bookBody')}</Form.Label>
        <Form.Control
          as="textarea"
          rows={4}
          className="literacy"
          value={now.body}
          maxLength={200_000}
          onChange={(e) => set({ body: e.target.value })}
        />
      </Form.Group>
      <Form.Group controlId="book-told">
        <Form.Label className="quiet mb-1">{text('texts.bookTold')}</Form.Label>
        <Form.Control
          className="literacy"
          value={now.told.join(' ')}
          onChange={(e) => set({ told: e.target.value.split(' ') })}
          onBlur={() => set({ told: now.told.filter((w) => w !== '') })}
        />
      </Form.Group>
      <div className="d-flex gap-2">
        <Button type="submit" disabled={busy || now.title.trim() === ''}>
          {save}
        </Button>
        {children}
      </div>
    </Form>
  );
}
