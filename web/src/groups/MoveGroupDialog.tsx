import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { laddersQuery } from '../ladder/queries';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { ErrorNote } from '../shell/ErrorNote';
import { dayText, labelText, text } from '../text/text';
import { moveQuery } from './queries';
import { RungChoice } from './RungChoice';

/** Moves a group to another place or ladder, after showing what that changes. */
export function MoveGroupDialog({ group, onHide }: { group: Schemas['GroupView']; onHide: () => void }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const published = useQuery(laddersQuery(school.id)).data?.filter((l) => l.latestVersion > 0) ?? [];
  const [ladderId, setLadderId] = useState(group.ladderId);
  const [next, setNext] = useState('');
  const version = published.find((l) => l.id === ladderId)?.latestVersion ?? group.ladderVersion;
  const wanted = { ladderId, version, nextRung: next || null };
  const look = useQuery(moveQuery(school.id, group.id, wanted));
  const move = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/groups/{groupId}/ladder', {
          params: {
            path: { schoolId: school.id, groupId: group.id },
            header: { 'If-Match': `"${group.ladderVersion}"` },
          },
          body: wanted,
        }),
      ),
    onSuccess: () => {
      void nowStale(queries, school.id, 'moved');
      onHide();
    },
  });
  return (
    <Dialog
      title={text('moveGroup.title', { group: group.name })}
      onHide={onHide}
      size="lg"
      action={{ label: text('moveGroup.move'), run: () => move.mutate(), disabled: move.isPending || !look.data }}
    >
      {published.length > 1 && (
        <Form.Group controlId="move-ladder" className="mb-3">
          <Form.Label>{text('moveGroup.ladder')}</Form.Label>
          <Form.Select
            value={ladderId}
            onChange={(e) => {
              setLadderId(e.target.value);
              setNext('');
            }}
          >
            {published.map((l) => (
              <option key={l.id} value={l.id}>
                {l.name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
      <RungChoice
        id="move-next"
        label={text('moveGroup.next')}
        none={text('moveGroup.asTaught')}
        ladder={{ ladderId, version }}
        value={next}
        onChange={setNext}
      />
      {look.data && <Difference view={look.data} />}
      {(look.error ?? move.error) && <ErrorNote problem={(look.error ?? move.error)!} />}
    </Dialog>
  );
}

function Difference({ view }: { view: Schemas['GroupMoveView'] }) {
  const label = (rung: string | null) => (rung === null ? text('moveGroup.nothing') : labelText(rung));
  const lists = [
    ['skipped', view.skipped],
    ['again', view.again],
    ['beside', view.beside],
  ] as const;
  return (
    <section className="border-top pt-3" aria-label={text('moveGroup.what')} aria-live="polite">
      <h3 className="fs-6">{text('moveGroup.what')}</h3>
      <dl className="row mb-2">
        {(['before', 'after'] as const).map((when) => (
          <div key={when} className="col-6">
            <dt className="quiet fw-normal">{text(`moveGroup.${when}`)}</dt>
            <dd className="literacy fs-4 m-0">{label(view[when])}</dd>
          </div>
        ))}
      </dl>
      {lists.map(
        ([which, rungs]) =>
          rungs.length > 0 && (
            <p key={which}>
              {text(`moveGroup.${which}`)}:{' '}
              <span className="literacy">{rungs.map((r) => labelText(r)).join(' · ')}</span>
            </p>
          ),
      )}
      <p className="m-0">
        {view.lastDay
          ? text('moveGroup.until', { rungs: view.rungsLeft, date: dayText(view.lastDay) })
          : text(view.rungsLeft > 0 ? 'moveGroup.tooMany' : 'moveGroup.left', { rungs: view.rungsLeft })}
      </p>
      {view.planned > 0 && view.before !== view.after && (
        <p className="quiet m-0">{text('moveGroup.planned', { count: view.planned })}</p>
      )}
    </section>
  );
}
