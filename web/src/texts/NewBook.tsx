import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import { BookForm } from './BookForm';

/** One more book on the shelf. */
export function NewBook({ onDone }: { onDone: () => void }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const add = useMutation({
    mutationFn: (book: Schemas['BookRequest']) =>
      answered(client.POST('/api/schools/{schoolId}/books', { params: { path: { schoolId: school.id } }, body: book })),
    onSuccess: () => {
      void nowStale(queries, school.id, 'books');
      onDone();
    },
  });
  return (
    <section className="panel mb-3">
      <h2 className="fs-5">{text('texts.addBook')}</h2>
      <BookForm
        book={{ title: '', label: '', pages: 0, copies: 1, body: '', told: [] }}
        busy={add.isPending}
        save={text('texts.addBook')}
        onSave={(book) => add.mutate({ ...book, told: book.told.filter((w) => w !== '') })}
      >
        <Button variant="outline-secondary" onClick={onDone}>
          {text('texts.cancel')}
        </Button>
      </BookForm>
      {add.error && <ErrorNote problem={add.error} />}
    </section>
  );
}
