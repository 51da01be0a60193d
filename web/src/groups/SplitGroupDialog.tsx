import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { childrenQuery } from '../children/queries';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import { PeopleChoice, type Taker } from './PeopleChoice';

/** Some children of a group become a group of their own, which stands where theirs stands. */
export function SplitGroupDialog({ group, onHide }: { group: Schemas['GroupView']; onHide: () => void }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const here = useQuery(childrenQuery(school.id)).data?.children.filter((c) => c.groupId === group.id) ?? [];
  const [id] = useState(() => crypto.randomUUID());
  const [name, setName] = useState('');
  const [people, setPeople] = useState<Taker[]>([]);
  const [children, setChildren] = useState<readonly string[]>([]);
  const split = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/groups/{groupId}/split', {
          params: { path: { schoolId: school.id, groupId: group.id } },
          body: { id, name, people, children: [...children] },
        }),
      ),
    onSuccess: () => {
      void nowStale(queries, school.id, 'groups');
      onHide();
    },
  });
  return (
    <Dialog
      title={text('splitGroup.title', { group: group.name })}
      onHide={onHide}
      size="lg"
      action={{ label: text('splitGroup.make'), run: () => split.mutate(), disabled: split.isPending }}
    >
      <p className="quiet">{text('splitGroup.why', { group: group.name })}</p>
      <Form.Group controlId="split-name" className="mb-3">
        <Form.Label>{text('newGroup.name')}</Form.Label>
        <Form.Control required maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
      </Form.Group>
      {here.length === 0 ? (
        <p>{text('splitGroup.nobody')}</p>
      ) : (
        <fieldset className="mb-3">
          <legend className="fs-6 mb-1">{text('splitGroup.children')}</legend>
          <div className="row row-cols-2 row-cols-md-3">
            {here.map((c) => (
              <div key={c.id} className="col">
                <Form.Check
                  id={`split-${c.id}`}
                  label={c.name}
                  checked={children.includes(c.id)}
                  onChange={(e) =>
                    setChildren(e.target.checked ? [...children, c.id] : children.filter((other) => other !== c.id))
                  }
                />
              </div>
            ))}
          </div>
        </fieldset>
      )}
      <PeopleChoice chosen={people} onChange={setPeople} />
      {split.error && <ErrorNote problem={split.error} />}
    </Dialog>
  );
}
