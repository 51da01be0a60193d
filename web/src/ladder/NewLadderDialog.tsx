import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useFacts } from '../facts/facts';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Dialog } from '../shell/Dialog';
import { text, textOf } from '../text/text';

/** A new ladder of the school's: from one of the shipped orders, from one it has, or from nothing. */
export function NewLadderDialog({
  ladders,
  onMade,
  onHide,
}: {
  ladders: Schemas['LadderSummary'][];
  onMade: (made: Schemas['LadderSummary']) => void;
  onHide: () => void;
}) {
  const { school } = useSchool();
  const { ladders: shipped } = useFacts();
  const queries = useQueryClient();
  const [id] = useState(() => crypto.randomUUID());
  const [name, setName] = useState('');
  const [from, setFrom] = useState<string>('letters-first');
  const make = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/ladders', {
          params: { path: { schoolId: school.id } },
          body: { id, name, from },
        }),
      ),
    onSuccess: (made) => {
      void nowStale(queries, school.id, 'ladders');
      onMade(made);
    },
  });
  return (
    <Dialog
      title={text('new.title')}
      onHide={onHide}
      action={{ label: text('new.make'), run: () => make.mutate(), disabled: make.isPending }}
    >
      <Form.Group controlId="new-name" className="mb-3">
        <Form.Label>{text('new.name')}</Form.Label>
        <Form.Control required maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
      </Form.Group>
      <fieldset className="mb-3">
        <legend className="fs-6">{text('new.from')}</legend>
        {[...shipped, 'blank'].map((start) => (
          <Form.Check
            key={start}
            type="radio"
            name="from"
            id={`from-${start}`}
            label={
              <>
                <strong>{textOf('approach', start)}</strong>{' '}
                <span className="quiet">{textOf('approachHelp', start)}</span>
              </>
            }
            checked={from === start}
            onChange={() => setFrom(start)}
          />
        ))}
        {ladders
          .filter((l) => l.latestVersion > 0)
          .map((l) => (
            <Form.Check
              key={l.id}
              type="radio"
              name="from"
              id={`from-${l.id}`}
              label={text('new.copy', { name: l.name })}
              checked={from === l.id}
              onChange={() => setFrom(l.id)}
            />
          ))}
      </fieldset>
      <p>
        <Link to="/ladder/choose">{text('new.compare')}</Link>
      </p>
      <p>
        <Link to="/ladder/paste">{text('new.paste')}</Link> <span className="quiet small">{text('new.pasteHelp')}</span>
      </p>
      {make.error && <ErrorNote problem={make.error} />}
    </Dialog>
  );
}
