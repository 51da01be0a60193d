import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { ErrorNote } from '../shell/ErrorNote';
import { momentText, text } from '../text/text';

const LONGEST = 30;

interface Props {
  child: Schemas['ChildView'];
  groups: readonly Schemas['GroupView'][];
  onHide: () => void;
}

/** What a child is called and where it is from a day on; all that is kept of it, and its erasure. */
export function ChildDialog({ child, groups, onHide }: Props) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const [name, setName] = useState(child.name);
  const [groupId, setGroupId] = useState(child.groupId);
  const [from, setFrom] = useState(school.today);
  const [erasing, setErasing] = useState(false);
  const params = { path: { schoolId: school.id, childId: child.id } };
  const change = useMutation({
    mutationFn: () =>
      answered(client.POST('/api/schools/{schoolId}/children/{childId}', { params, body: { name, groupId, from } })),
    onSuccess: () => {
      void nowStale(queries, school.id, 'children');
      onHide();
    },
  });
  if (erasing) return <EraseDialog child={child} onHide={onHide} />;
  return (
    <Dialog
      title={text('child.title', { name: child.name })}
      onHide={onHide}
      action={{ label: text('people.save'), run: () => change.mutate(), disabled: change.isPending }}
    >
      <Form.Group controlId="child-name" className="mb-3">
        <Form.Label>{text('child.name')}</Form.Label>
        <Form.Control required maxLength={LONGEST} value={name} onChange={(e) => setName(e.target.value)} />
        <Form.Text>{text('child.nameHelp')}</Form.Text>
      </Form.Group>
      <div className="row mb-3">
        <Form.Group controlId="child-group" className="col-sm-7">
          <Form.Label>{text('child.group')}</Form.Label>
          <Form.Select value={groupId ?? ''} onChange={(e) => setGroupId(e.target.value || null)}>
            <option value="">{text('children.noGroup')}</option>
            {groups.map((g) => (
              <option key={g.id} value={g.id}>
                {g.name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        {groupId !== child.groupId && (
          <Form.Group controlId="child-from" className="col-sm-5">
            <Form.Label>{text('child.from')}</Form.Label>
            <Form.Control type="date" required value={from} onChange={(e) => setFrom(e.target.value)} />
          </Form.Group>
        )}
      </div>
      <p className="border-top pt-3 mb-2">
        <Link to={`/children/${child.id}/record`}>{text('child.record')}</Link>{' '}
        <span className="quiet small">{text('child.recordWhy')}</span>
      </p>
      <div className="d-flex flex-wrap justify-content-between align-items-center gap-2">
        <span className="quiet small">{text('child.eraseWhy')}</span>
        <Button size="sm" variant="outline-danger" onClick={() => setErasing(true)}>
          {text('child.erase')}
        </Button>
      </div>
      {change.error && <ErrorNote problem={change.error} />}
    </Dialog>
  );
}

function EraseDialog({ child, onHide }: { child: Schemas['ChildView']; onHide: () => void }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const erase = useMutation({
    mutationFn: () =>
      answered(
        client.DELETE('/api/schools/{schoolId}/children/{childId}', {
          params: { path: { schoolId: school.id, childId: child.id } },
        }),
      ),
  });
  const leave = () => {
    if (erase.data) void nowStale(queries, school.id, 'children');
    onHide();
  };
  if (erase.data)
    return (
      <Dialog title={text('child.erased')} onHide={leave} cancel={text('link.done')}>
        <p className="text-break">
          {text('child.receipt', {
            number: erase.data.number,
            date: momentText(erase.data.at),
            rows: erase.data.rows,
          })}
        </p>
      </Dialog>
    );
  return (
    <Dialog
      title={text('child.eraseSure', { name: child.name })}
      onHide={leave}
      action={{
        label: text('child.eraseDo'),
        run: () => erase.mutate(),
        disabled: erase.isPending,
        variant: 'danger',
      }}
    >
      <p>{text('child.eraseWhat')}</p>
      {erase.error && <ErrorNote problem={erase.error} />}
    </Dialog>
  );
}
