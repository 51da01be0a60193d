import { useQuery } from '@tanstack/react-query';
import { useFacts } from '../facts/facts';
import { useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { groupsQuery } from '../groups/queries';
import { ladderQuery } from '../ladder/queries';
import { wordsQuery } from './queries';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { usePageTitle } from '../shell/usePageTitle';
import { labelText, text, textOf } from '../text/text';
import { MarkedWord } from '../words/MarkedWord';
import { SchoolList } from './SchoolList';
import { WordPanel } from './WordPanel';

/** Words by what is in them, and all that is known of one. What is looked for stands in the address. */
export function WordsPage() {
  const { word } = useParams();
  const [params, setParams] = useSearchParams();
  const [typed, setTyped] = useState('');
  const navigate = useNavigate();
  usePageTitle(text('words.title'));
  const set = (name: string, value: string) => {
    const next = new URLSearchParams(params);
    if (value) next.set(name, value);
    else next.delete(name);
    setParams(next, { replace: true });
  };
  const lookUp = (event: FormEvent) => {
    event.preventDefault();
    const plain = typed.trim().toLowerCase();
    if (plain) void navigate(`/words/${encodeURIComponent(plain)}?${params}`);
  };
  return (
    <>
      <h1>{text('words.title')}</h1>
      <p className="quiet">{text('words.intro')}</p>
      <Form onSubmit={lookUp} className="d-flex flex-wrap gap-2 align-items-center mb-3">
        <Form.Control
          className="literacy fs-5 w-auto"
          value={typed}
          maxLength={40}
          placeholder={text('words.look')}
          aria-label={text('words.look')}
          onChange={(e) => setTyped(e.target.value)}
        />
        <Button type="submit" disabled={typed.trim().length === 0}>
          {text('words.lookDo')}
        </Button>
        <span className="quiet">{text('words.lookHelp')}</span>
      </Form>
      <div className="explorer d-flex flex-column d-lg-grid gap-3 align-items-start">
        <Finder params={params} set={set} chosen={word} />
        {word ? <WordPanel key={word} word={word} /> : <SchoolList />}
      </div>
    </>
  );
}

function Finder({
  params,
  set,
  chosen,
}: {
  params: URLSearchParams;
  set: (name: string, value: string) => void;
  chosen: string | undefined;
}) {
  const { school } = useSchool();
  const { patterns } = useFacts();
  const groups = useQuery(groupsQuery(school.id));
  const first = groups.data?.[0];
  const on = first ? { ladderId: first.ladderId, version: first.ladderVersion } : null;
  const ladder = useQuery(ladderQuery(school.id, on));
  const asked = Object.fromEntries(params) as Record<string, string>;
  const found = useQuery(wordsQuery(school.id, on, asked));
  const field = (name: string, label: string, placeholder = '') => (
    <Form.Group controlId={`find-${name}`}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        size="sm"
        className="literacy"
        value={params.get(name) ?? ''}
        placeholder={placeholder}
        maxLength={40}
        onChange={(e) => set(name, e.target.value)}
      />
    </Form.Group>
  );
  return (
    <section className="panel">
      <div className="finder-fields d-grid gap-2 align-items-end mb-3">
        {field('with', text('words.with'), text('words.withHelp'))}
        <Form.Group controlId="find-at">
          <Form.Label>{text('words.at')}</Form.Label>
          <Form.Select size="sm" value={params.get('at') ?? ''} onChange={(e) => set('at', e.target.value)}>
            <option value="">{text('words.anywhere')}</option>
            {(['start', 'middle', 'end'] as const).map((at) => (
              <option key={at} value={at}>
                {text(`words.${at}`)}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        {field('letters', text('words.letters'))}
        {field('shape', text('words.shape'), text('words.shapeHelp'))}
        {field('rhyme', text('words.rhyme'))}
        <Form.Group controlId="find-pattern">
          <Form.Label>{text('words.pattern')}</Form.Label>
          <Form.Select size="sm" value={params.get('pattern') ?? ''} onChange={(e) => set('pattern', e.target.value)}>
            <option value="">{text('words.any')}</option>
            {patterns.map((p) => (
              <option key={p} value={p}>
                {textOf('pattern', p)}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="find-rung">
          <Form.Label>{text('words.rung')}</Form.Label>
          <Form.Select size="sm" value={params.get('rung') ?? ''} onChange={(e) => set('rung', e.target.value)}>
            <option value="">{text('words.anyRung')}</option>
            {(ladder.data?.rungs ?? []).map((r, i) => (
              <option key={r.id} value={r.id}>
                {`${i + 1}. ${labelText(r.label)}`}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Check
          id="find-so-far"
          label={text('words.soFar')}
          checked={params.get('soFar') === 'true'}
          onChange={(e) => set('soFar', e.target.checked ? 'true' : '')}
        />
        <Form.Check
          id="find-known"
          label={text('words.known')}
          checked={params.get('known') === 'true'}
          onChange={(e) => set('known', e.target.checked ? 'true' : '')}
        />
      </div>
      {found.error && <ErrorNote problem={found.error} />}
      {found.data && !found.error && (
        <>
          <p role="status" className="mb-2">
            <strong>{text('words.found', { count: found.data.total })}</strong>
            {found.data.total > found.data.words.length && (
              <span className="quiet"> · {text('words.shown', { count: found.data.words.length })}</span>
            )}
          </p>
          {found.data.total === 0 && <p className="py-4">{text('words.empty')}</p>}
          <ul className="list-unstyled m-0 d-flex flex-wrap gap-2">
            {found.data.words.map((w) => (
              <li key={w.word}>
                <Link
                  className={`literacy found-word d-block rounded text-decoration-none pt-1 pb-2 px-3${w.word === chosen ? ' chosen' : ''}${w.keptOut ? ' banned' : ''}`}
                  to={`/words/${encodeURIComponent(w.word)}?${params}`}
                  title={`${w.shape} · ${w.rung === null ? text('words.never') : w.rung === '' ? text('words.fromStart') : labelText(w.rung)}`}
                >
                  <MarkedWord word={w.word} marks={w.marks} />
                </Link>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
