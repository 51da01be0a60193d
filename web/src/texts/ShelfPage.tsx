import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, labelText, text, textOf } from '../text/text';
import { useChoices } from '../printing/choices';
import type { Schemas } from '../api/client';
import { BookPanel } from './BookPanel';
import { BooksFile } from './BooksFile';
import { NewBook } from './NewBook';
import { shelfQuery } from './queries';
import { TextsNav } from './TextsNav';

const FITS = ['now', 'soon', 'not-yet', 'no-words'] as const;

/** The school's own reading books, and which group can read which. */
export function ShelfPage() {
  const { school } = useSchool();
  const { params, choose } = useChoices();
  const [typed, setTyped] = useState(params.get('search') ?? '');
  const search = useDeferredValue(typed.trim());
  const [adding, setAdding] = useState<'book' | 'file' | null>(null);
  usePageTitle(text('texts.tabBooks'));
  const bar = Number(params.get('bar') ?? 95);
  const skip = Number(params.get('skip') ?? 0);
  const group = params.get('group') ?? '';
  const fit = group ? (params.get('fit') ?? '') : '';
  const shelf = useQuery(shelfQuery(school.id, { search, group, fit, bar, skip }));
  const chosen = params.get('book') ?? '';
  if (shelf.isPending) return <Loading />;
  if (shelf.error) return <ErrorNote problem={shelf.error} retry={() => void shelf.refetch()} />;
  const { groups, ladders, books, total, all } = shelf.data;
  const mayChange = school.role !== 'helper' && school.role !== 'head';
  const groupsShown = group ? groups.filter((g) => g.id === group) : groups;
  return (
    <>
      <TextsNav />
      <div className="d-flex flex-wrap gap-3 align-items-end mb-3">
        <Form.Group controlId="shelf-search">
          <Form.Label className="quiet mb-1">{text('texts.searchBooks')}</Form.Label>
          <Form.Control
            value={typed}
            maxLength={60}
            onChange={(e) => {
              setTyped(e.target.value);
              choose({ skip: null });
            }}
          />
        </Form.Group>
        <Form.Group controlId="shelf-group">
          <Form.Label className="quiet mb-1">{text('texts.forGroup')}</Form.Label>
          <Form.Select value={group} onChange={(e) => choose({ group: e.target.value, fit: null, skip: null })}>
            <option value="">{text('texts.allGroups')}</option>
            {groups.map((g) => (
              <option key={g.id} value={g.id}>
                {g.name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        {group && (
          <Form.Group controlId="shelf-fit">
            <Form.Label className="quiet mb-1">{text('texts.fit')}</Form.Label>
            <Form.Select value={fit} onChange={(e) => choose({ fit: e.target.value, skip: null })}>
              <option value="">{text('texts.anyFit')}</option>
              {FITS.map((f) => (
                <option key={f} value={f}>
                  {textOf('bookFit', f)}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
        )}
        <Form.Group controlId="shelf-bar">
          <Form.Label className="quiet mb-1">{text('texts.bar')}</Form.Label>
          <Form.Select value={bar} onChange={(e) => choose({ bar: e.target.value })}>
            {[100, 98, 95, 90, 80].map((b) => (
              <option key={b} value={b}>
                {text('texts.percent', { share: b })}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        {mayChange && (
          <div className="d-flex gap-2 ms-lg-auto">
            <Button variant="outline-primary" onClick={() => setAdding(adding === 'file' ? null : 'file')}>
              {text('texts.takeTable')}
            </Button>
            <Button onClick={() => setAdding(adding === 'book' ? null : 'book')}>{text('texts.addBook')}</Button>
          </div>
        )}
      </div>
      {adding === 'book' && <NewBook onDone={() => setAdding(null)} />}
      {adding === 'file' && <BooksFile onDone={() => setAdding(null)} />}
      {all === 0 ? (
        <p className="panel">{text('texts.shelfEmpty')}</p>
      ) : (
        <div className={chosen ? 'text-desk' : ''}>
          <div>
            <p role="status" className="mb-2">
              <strong>{text('texts.booksFound', { count: total })}</strong>
            </p>
            <div className="table-responsive panel p-0">
              <table className="table mb-0 shelf">
                <thead>
                  <tr>
                    <th>{text('texts.bookTitle')}</th>
                    <th>{text('texts.bookLabel')}</th>
                    {groupsShown.map((g) => (
                      <th key={g.id}>{g.name}</th>
                    ))}
                    {!chosen && ladders.map((l) => <th key={l.id}>{text('texts.fromRung', { ladder: l.name })}</th>)}
                  </tr>
                </thead>
                <tbody>
                  {books.map((b) => (
                    <tr key={b.id} className={b.id === chosen ? 'table-active' : undefined}>
                      <td>
                        <button
                          type="button"
                          className="btn btn-link p-0 text-start"
                          onClick={() => choose({ book: b.id === chosen ? null : b.id })}
                        >
                          {b.title}
                        </button>
                      </td>
                      <td>{b.label}</td>
                      {groupsShown.map((g) => (
                        <td key={g.id}>
                          <Fit fit={b.fits[groups.indexOf(g)]!} />
                        </td>
                      ))}
                      {!chosen &&
                        b.places.map((p, i) => (
                          <td key={ladders[i]!.id} className="literacy">
                            {b.words === 0
                              ? '–'
                              : p === null
                                ? text('texts.neverHere')
                                : `${p.number}. ${labelText(p.label)}`}
                          </td>
                        ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
            {total > books.length && (
              <div className="d-flex gap-2 mt-2 align-items-center">
                <Button
                  size="sm"
                  variant="outline-secondary"
                  disabled={skip === 0}
                  onClick={() => choose({ skip: String(Math.max(0, skip - 50)) })}
                >
                  {text('texts.pageBack')}
                </Button>
                <span className="quiet">
                  {text('texts.pageOf', { first: skip + 1, last: skip + books.length, total })}
                </span>
                <Button
                  size="sm"
                  variant="outline-secondary"
                  disabled={skip + books.length >= total}
                  onClick={() => choose({ skip: String(skip + 50) })}
                >
                  {text('texts.pageOn')}
                </Button>
              </div>
            )}
          </div>
          {chosen && (
            <BookPanel key={chosen} bookId={chosen} mayChange={mayChange} onClose={() => choose({ book: null })} />
          )}
        </div>
      )}
    </>
  );
}

/** How far a group is with a book: a word and a sign, the day where there is one. */
export function Fit({ fit }: { fit: Schemas['GroupFit'] }) {
  return (
    <span className={`fit fit-${fit.fit}`}>
      {textOf('bookFit', fit.fit)}
      {fit.when?.date && fit.fit !== 'now' && <small className="d-block quiet">{dayText(fit.when.date)}</small>}
      {fit.home > 0 && <small className="d-block">{text('texts.atHome', { count: fit.home })}</small>}
      {fit.read > 0 && <small className="d-block">{text('texts.readTimes', { count: fit.read })}</small>}
    </span>
  );
}
