import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import { MergeGroupDialog } from './MergeGroupDialog';
import { MoveGroupDialog } from './MoveGroupDialog';
import { PeopleChoice, type Taker } from './PeopleChoice';
import { SplitGroupDialog } from './SplitGroupDialog';

const MORE = { move: MoveGroupDialog, split: SplitGroupDialog, merge: MergeGroupDialog };

/** What a group is called and who takes it; moving, splitting and ending it. */
export function ChangeGroupDialog({ group, onHide }: { group: Schemas['GroupView']; onHide: () => void }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const [name, setName] = useState(group.name);
  const [people, setPeople] = useState<Taker[]>(() => group.takers.map((t) => ({ id: t.id, weekdays: t.weekdays })));
  const [more, setMore] = useState<keyof typeof MORE | null>(null);
  const params = { path: { schoolId: school.id, groupId: group.id } };
  const done = {
    onSuccess: () => {
      void nowStale(queries, school.id, 'groups');
      onHide();
    },
  };
  const change = useMutation({
    mutationFn: () =>
      answered(client.POST('/api/schools/{schoolId}/groups/{groupId}', { params, body: { name, people } })),
    ...done,
  });
  const end = useMutation({
    mutationFn: () => answered(client.DELETE('/api/schools/{schoolId}/groups/{groupId}', { params })),
    ...done,
  });
  const problem = change.error ?? end.error;
  if (more) {
    const More = MORE[more];
    return <More group={group} onHide={onHide} />;
  }
  return (
    <Dialog
      title={text('changeGroup.title', { group: group.name })}
      onHide={onHide}
      action={{ label: text('people.save'), run: () => change.mutate(), disabled: change.isPending }}
    >
      <Form.Group controlId="group-name" className="mb-3">
        <Form.Label>{text('newGroup.name')}</Form.Label>
        <Form.Control required maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
      </Form.Group>
      <PeopleChoice chosen={people} onChange={setPeople} />
      <div className="d-flex flex-column align-items-start gap-1 border-top pt-3 mb-3">
        {(['move', 'split', 'merge'] as const).map((which) => (
          <Button key={which} variant="link" className="p-0" onClick={() => setMore(which)}>
            {text(`changeGroup.${which}`)}
          </Button>
        ))}
      </div>
      <div className="d-flex flex-wrap justify-content-between align-items-center gap-2 border-top pt-3">
        <p className="quiet small m-0">{text('changeGroup.endWhy')}</p>
        <Button size="sm" variant="outline-danger" disabled={end.isPending} onClick={() => end.mutate()}>
          {text('changeGroup.end')}
        </Button>
      </div>
      {problem && <ErrorNote problem={problem} />}
    </Dialog>
  );
}
