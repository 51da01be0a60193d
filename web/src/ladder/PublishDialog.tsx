import { useState } from 'react';
import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { ErrorNote } from '../shell/ErrorNote';
import { Dialog } from '../shell/Dialog';
import { text } from '../text/text';
import { Difference } from './HistoryDialog';
import type { Ladder } from './queries';
import type { DraftChanges } from './useDraftChanges';

/** Names the draft and makes it a version; groups follow it at once where they are ticked. */
export function PublishDialog({
  ladder,
  groups,
  changes,
  onHide,
}: {
  ladder: Ladder;
  groups: Schemas['GroupDates'][];
  changes: DraftChanges;
  onHide: () => void;
}) {
  const [name, setName] = useState('');
  const [moving, setMoving] = useState<string[]>(groups.map((g) => g.groupId));
  const submit = () => {
    changes.publish.mutate({ name, groups: moving }, { onSuccess: onHide });
  };
  return (
    <Dialog
      title={text('publish.title')}
      onHide={onHide}
      action={{ label: text('publish.publish'), run: submit, disabled: changes.publish.isPending }}
    >
      <Form.Group controlId="publish-name" className="mb-3">
        <Form.Label>{text('publish.name')}</Form.Label>
        <Form.Control required maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
      </Form.Group>
      {groups.length > 0 && (
        <fieldset className="mb-3">
          <legend className="fs-6">{text('publish.groups')}</legend>
          {groups.map((g) => (
            <Form.Check
              key={g.groupId}
              id={`publish-${g.groupId}`}
              label={g.name}
              checked={moving.includes(g.groupId)}
              onChange={(e) =>
                setMoving(e.target.checked ? [...moving, g.groupId] : moving.filter((id) => id !== g.groupId))
              }
            />
          ))}
          <p className="quiet small">{text('publish.groupsHelp')}</p>
        </fieldset>
      )}
      {ladder.version > 0 && (
        <>
          <h3>{text('publish.changes', { version: ladder.version })}</h3>
          <Difference ladder={ladder} from={ladder.version} to="draft" />
        </>
      )}
      {changes.publish.error && <ErrorNote problem={changes.publish.error} />}
    </Dialog>
  );
}
