import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { usePageTitle } from '../shell/usePageTitle';
import { labelText, text } from '../text/text';

type Line = Schemas['PastedRung'];

/** What was chosen for a part in doubt, by line and place; else the likelier. */
type Chosen = ReadonlyMap<string, string>;

const keyOf = (line: number, place: number) => `${line}.${place}`;

/** A new ladder from an order that the school has written down: read line by line, doubts asked, the rest kept aside. */
export function PastePage() {
  const { school } = useSchool();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [order, setOrder] = useState('');
  const [name, setName] = useState('');
  const [id] = useState(() => crypto.randomUUID());
  const [chosen, setChosen] = useState<Chosen>(new Map());
  usePageTitle(text('paste.title'));
  const params = { path: { schoolId: school.id } };
  const made = `/ladder?ladder=${id}&version=draft`;
  const look = useMutation({
    mutationFn: () => answered(client.POST('/api/schools/{schoolId}/orders/look', { params, body: { text: order } })),
    onSuccess: () => setChosen(new Map()),
  });
  const read = look.data?.filter((l) => l.unread.length === 0) ?? [];
  const aside = look.data?.filter((l) => l.unread.length > 0) ?? [];
  const asked = read.filter((l) => l.parts.some((p) => p.meanings.length > 1)).length;
  const make = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/orders', {
          params,
          body: {
            id,
            name,
            rungs: read.map((l) => ({
              correspondences: l.parts.map((p, i) => chosen.get(keyOf(l.line, i)) ?? p.meanings[0]!.notation),
              patterns: l.patterns,
              tricky: l.tricky,
            })),
          },
        }),
      ),
    onSuccess: () => {
      void nowStale(queries, school.id, 'ladders');
      // Lines that were kept aside stay in sight until they have been seen to.
      if (aside.length === 0) void navigate(made);
    },
  });
  return (
    <>
      <h1>{text('paste.title')}</h1>
      <p className="quiet">{text('paste.intro')}</p>
      <Form
        className="panel mb-3"
        onSubmit={(e) => {
          e.preventDefault();
          look.mutate();
        }}
      >
        <Form.Group controlId="paste-order" className="mb-3">
          <Form.Label>{text('paste.order')}</Form.Label>
          <Form.Control
            as="textarea"
            className="literacy"
            rows={look.data ? 6 : 12}
            value={order}
            onChange={(e) => setOrder(e.target.value)}
          />
          <Form.Text>{text('paste.help')}</Form.Text>
        </Form.Group>
        <Button
          type="submit"
          variant={look.data ? 'outline-primary' : 'primary'}
          disabled={order.trim() === '' || look.isPending}
        >
          {text('paste.look')}
        </Button>
        {look.error && <ErrorNote problem={look.error} />}
      </Form>
      {look.data && (
        <>
          {aside.length > 0 && (
            <section className="panel mb-3">
              <h2 className="fs-5">{text('paste.asideTitle')}</h2>
              <p className="quiet">{text('paste.asideWhy')}</p>
              <ul className="list-unstyled m-0">
                {aside.map((l) => (
                  <li key={l.line}>
                    <span className="quiet small">{l.line}.</span> {l.text}
                  </li>
                ))}
              </ul>
            </section>
          )}
          <section className="panel mb-3">
            <h2 className="fs-5">
              {text('paste.read', { rungs: read.length })}{' '}
              <span className="quiet fs-6 fw-normal">{text('paste.asked', { count: asked })}</span>
            </h2>
            <ol className="list-unstyled m-0">
              {read.map((l) => (
                <PastedLine
                  key={l.line}
                  line={l}
                  chosen={chosen}
                  onChoose={(place, notation) => setChosen(new Map(chosen).set(keyOf(l.line, place), notation))}
                />
              ))}
            </ol>
          </section>
          <Form
            className="panel d-flex flex-wrap align-items-end gap-3"
            onSubmit={(e) => {
              e.preventDefault();
              make.mutate();
            }}
          >
            <Form.Group controlId="paste-name">
              <Form.Label>{text('paste.name')}</Form.Label>
              <Form.Control required maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
            </Form.Group>
            {make.isSuccess ? (
              <Link className="btn btn-primary btn-lg" to={made}>
                {text('paste.see')}
              </Link>
            ) : (
              <Button type="submit" size="lg" disabled={read.length === 0 || make.isPending}>
                {text('paste.make')}
              </Button>
            )}
            {make.error && <ErrorNote problem={make.error} />}
          </Form>
        </>
      )}
    </>
  );
}

function PastedLine({
  line,
  chosen,
  onChoose,
}: {
  line: Line;
  chosen: Chosen;
  onChoose: (place: number, notation: string) => void;
}) {
  const said = (m: Schemas['PastedMeaning']) =>
    m.words.length > 0
      ? text('paste.meaning', { grapheme: m.grapheme, words: m.words.join(', ') })
      : `${m.grapheme} /${m.sounds}/`;
  return (
    <li className="d-flex flex-wrap align-items-center column-gap-3 row-gap-1 border-top py-1">
      <span className="quiet small">{line.line}.</span>
      {line.parts.map((p, i) =>
        p.meanings.length > 1 ? (
          <Form.Select
            key={i}
            className="w-auto literacy border-2"
            aria-label={text('paste.means', { line: line.line, written: p.written })}
            value={chosen.get(keyOf(line.line, i)) ?? p.meanings[0]!.notation}
            onChange={(e) => onChoose(i, e.target.value)}
          >
            {p.meanings.map((m) => (
              <option key={m.notation} value={m.notation}>
                {said(m)}
              </option>
            ))}
          </Form.Select>
        ) : (
          <span key={i} className="literacy">
            {said(p.meanings[0]!)}
          </span>
        ),
      )}
      {line.patterns.map((p) => (
        <span key={p}>{labelText(p)}</span>
      ))}
      {line.tricky.length > 0 && (
        <span className="quiet">{text('paste.tricky', { words: line.tricky.join(', ') })}</span>
      )}
    </li>
  );
}
