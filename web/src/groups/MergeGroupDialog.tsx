import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import { groupsQuery, mergeQuery } from './queries';

/** The children of a group go to another, after showing what the two were taught apart; the group ends. */
export function MergeGroupDialog({ group, onHide }: { group: Schemas['GroupView']; onHide: () => void }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const others = useQuery(groupsQuery(school.id)).data?.filter((g) => g.id !== group.id) ?? [];
  const [into, setInto] = useState('');
  const look = useQuery(mergeQuery(school.id, group.id, into));
  const merge = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/groups/{groupId}/merge/{intoId}', {
          params: { path: { schoolId: school.id, groupId: group.id, intoId: into } },
        }),
      ),
    onSuccess: () => {
      void nowStale(queries, school.id, 'groups');
      onHide();
    },
  });
  const names = { group: group.name, into: others.find((g) => g.id === into)?.name ?? '' };
  const view = into === '' ? undefined : look.data;
  return (
    <Dialog
      title={text('mergeGroup.title', names)}
      onHide={onHide}
      action={{ label: text('mergeGroup.do'), run: () => merge.mutate(), disabled: merge.isPending || !view }}
    >
      {others.length === 0 ? (
        <p>{text('mergeGroup.none')}</p>
      ) : (
        <Form.Group controlId="merge-into" className="mb-3">
          <Form.Label>{text('mergeGroup.into')}</Form.Label>
          <Form.Select value={into} onChange={(e) => setInto(e.target.value)}>
            <option value="">{text('mergeGroup.choose')}</option>
            {others.map((g) => (
              <option key={g.id} value={g.id}>
                {g.name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
      {view && (
        <section aria-live="polite">
          <p>{text('mergeGroup.what', { ...names, count: view.children })}</p>
          {view.onlyThere.length > 0 && (
            <p>{text('mergeGroup.there', { ...names, what: view.onlyThere.join(' · ') })}</p>
          )}
          {view.onlyHere.length > 0 && <p>{text('mergeGroup.here', { ...names, what: view.onlyHere.join(' · ') })}</p>}
          {view.onlyHere.length + view.onlyThere.length === 0 && <p>{text('mergeGroup.same')}</p>}
        </section>
      )}
      {(look.error ?? merge.error) && <ErrorNote problem={(look.error ?? merge.error)!} />}
    </Dialog>
  );
}
