import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { SaveProblem } from '../shell/SaveProblem';
import { dayText, text, textOf } from '../text/text';
import { BookForm } from './BookForm';
import { needText } from './needs';
import { bookQuery } from './queries';
import { Fit } from './ShelfPage';

interface Props {
  bookId: string;
  mayChange: boolean;
  onClose: () => void;
}

/** A book: why a group can't read it yet, when it is read again and for what, who has it at home. */
export function BookPanel({ bookId, mayChange, onClose }: Props) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const book = useQuery(bookQuery(school.id, bookId));
  const [changing, setChanging] = useState(false);
  const [stamp, setStamp] = useState<string | null>(null);
  const path = { schoolId: school.id, bookId };
  const shown = (seen: Schemas['BookView']) => {
    queries.setQueryData(bookQuery(school.id, bookId).queryKey, seen);
    void nowStale(queries, school.id, 'books');
  };
  const use = useMutation({
    mutationFn: (wanted: Schemas['BookUseRequest']) =>
      answered(client.POST('/api/schools/{schoolId}/books/{bookId}/uses', { params: { path }, body: wanted })),
    onSuccess: shown,
  });
  const end = useMutation({
    mutationFn: (useId: string) =>
      answered(
        client.DELETE('/api/schools/{schoolId}/books/{bookId}/uses/{useId}', { params: { path: { ...path, useId } } }),
      ),
    onSuccess: shown,
  });
  const save = useMutation({
    mutationFn: (wanted: Schemas['BookRequest']) =>
      answered(
        client.PUT('/api/schools/{schoolId}/books/{bookId}', {
          params: { path, header: { 'If-Match': stamp ?? book.data!.stamp } },
          body: { ...wanted, told: wanted.told.filter((w) => w !== '') },
        }),
      ),
    onSuccess: (seen) => {
      setChanging(false);
      setStamp(null);
      shown(seen);
    },
  });
  const remove = useMutation({
    mutationFn: () => answered(client.DELETE('/api/schools/{schoolId}/books/{bookId}', { params: { path } })),
    onSuccess: () => {
      onClose();
      void nowStale(queries, school.id, 'books');
    },
  });
  if (book.isPending) return <Loading />;
  if (book.error) return <ErrorNote problem={book.error} retry={() => void book.refetch()} />;
  const b = book.data;
  const isBusy = use.isPending || end.isPending;
  return (
    <section className="panel align-self-start" aria-label={b.title}>
      <div className="d-flex justify-content-between gap-2">
        <h2 className="fs-4 mb-1">{b.title}</h2>
        <Button size="sm" variant="outline-secondary" className="align-self-start" onClick={onClose}>
          {text('texts.close')}
        </Button>
      </div>
      <p className="quiet">
        {[
          b.label,
          b.pages > 0 ? text('texts.pages', { count: b.pages }) : '',
          text('texts.copies', { count: b.copies }),
        ]
          .filter((s) => s !== '')
          .join(' · ')}
      </p>
      {b.body === '' && <p>{text('texts.typeWords')}</p>}
      {b.groups.map((g) => (
        <div key={g.groupId} className="border-top py-2">
          <div className="d-flex gap-3 align-items-baseline">
            <strong>{g.groupName}</strong>
            <Fit fit={{ ...g.fit, home: 0, read: 0 }} />
          </div>
          {g.missing.length > 0 && g.fit.fit !== 'now' && (
            <ul className="mb-1">
              {g.missing.slice(0, 5).map((m) => (
                <li key={m.word}>
                  <span className="literacy">{m.word}</span>
                  <span className="quiet">{m.needs.map((n) => ` · ${needText(n)}`).join('')}</span>
                  {m.needs.length === 0 && <span className="quiet"> · {textOf('verdict', 'unknown')}</span>}
                </li>
              ))}
            </ul>
          )}
          {mayChange && (
            <div className="d-flex gap-2 flex-wrap align-items-center">
              {g.next && (g.fit.fit === 'now' || g.fit.fit === 'soon') && (
                <Button
                  size="sm"
                  variant="outline-primary"
                  disabled={isBusy}
                  onClick={() => use.mutate({ groupId: g.groupId, kind: 'read', day: g.next!.day, copies: 0 })}
                >
                  {text('texts.readOn', { date: dayText(g.next.day), focus: textOf('focus', g.next.focus) })}
                </Button>
              )}
              <TakeHome
                busy={isBusy}
                copies={b.copies}
                onTake={(copies) => use.mutate({ groupId: g.groupId, kind: 'home', day: null, copies })}
              />
            </div>
          )}
        </div>
      ))}
      {use.error && <ErrorNote problem={use.error} />}
      {b.uses.length > 0 && (
        <>
          <h3 className="fs-6 mt-2">{text('texts.uses')}</h3>
          <ul className="list-unstyled mb-2">
            {b.uses.map((u) => (
              <li key={u.id} className="d-flex gap-2 align-items-baseline">
                <span>
                  {u.kind === 'read'
                    ? text('texts.useRead', { group: u.groupName, date: dayText(u.day) })
                    : text('texts.useHome', { group: u.groupName, date: dayText(u.day), count: u.copies })}
                  {u.backOn && ` · ${text('texts.back', { date: dayText(u.backOn) })}`}
                </span>
                {mayChange && !u.backOn && (
                  <Button size="sm" variant="link" className="p-0" disabled={isBusy} onClick={() => end.mutate(u.id)}>
                    {text(u.kind === 'read' ? 'texts.useUndo' : 'texts.useBack')}
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
      {mayChange &&
        (changing ? (
          <>
            <BookForm
              book={{ title: b.title, label: b.label, pages: b.pages, copies: b.copies, body: b.body, told: b.told }}
              busy={save.isPending}
              save={text('texts.saveChanges')}
              onSave={(wanted) => save.mutate(wanted)}
            >
              <Button variant="outline-secondary" onClick={() => setChanging(false)}>
                {text('texts.cancel')}
              </Button>
              <Button variant="outline-danger" disabled={remove.isPending} onClick={() => remove.mutate()}>
                {text('texts.removeBook')}
              </Button>
            </BookForm>
            {save.error && <SaveProblem problem={save.error} onMine={setStamp} />}
            {remove.error && <ErrorNote problem={remove.error} />}
          </>
        ) : (
          <Button size="sm" variant="outline-secondary" onClick={() => setChanging(true)}>
            {text('texts.changeBook')}
          </Button>
        ))}
    </section>
  );
}

function TakeHome({ copies, busy, onTake }: { copies: number; busy: boolean; onTake: (copies: number) => void }) {
  const [count, setCount] = useState(Math.max(1, copies));
  return (
    <span className="d-flex gap-1 align-items-center">
      <Form.Control
        type="number"
        size="sm"
        className="text-copies"
        min={1}
        max={copies}
        value={count}
        aria-label={text('texts.copiesHome')}
        onChange={(e) => setCount(Number(e.target.value))}
      />
      <Button size="sm" variant="outline-secondary" disabled={busy || copies === 0} onClick={() => onTake(count)}>
        {text('texts.takeHome')}
      </Button>
    </span>
  );
}
