import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { groupsQuery } from '../groups/queries';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import { RoleAndGroups } from './RoleAndGroups';
import type { Role } from './roles';

/** What a person may do here; letting them go and back; a link for a forgotten password. */
export function PersonDialog({
  person,
  canMail,
  onLink,
  onHide,
}: {
  person: Schemas['PersonView'];
  canMail: boolean;
  onLink: (link: Schemas['LinkView']) => void;
  onHide: () => void;
}) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const groups = useQuery(groupsQuery(school.id));
  const [role, setRole] = useState<Role>(person.role);
  const [given, setGiven] = useState<string[]>([...person.groups]);
  const path = { schoolId: school.id, userId: person.id };
  const change = useMutation({
    mutationFn: (isActive: boolean) =>
      answered(
        client.POST('/api/schools/{schoolId}/people/{userId}', {
          params: { path },
          body: { role, groups: given, isActive },
        }),
      ),
    onSuccess: async () => {
      // One's own role is in the session.
      if (person.isYou) await queries.invalidateQueries({ queryKey: ['session'] });
      void nowStale(queries, school.id, 'people');
      onHide();
    },
  });
  const reset = useMutation({
    mutationFn: (byMail: boolean) =>
      answered(client.POST('/api/schools/{schoolId}/people/{userId}/reset', { params: { path }, body: { byMail } })),
    onSuccess: onLink,
  });
  const problem = change.error ?? reset.error;
  return (
    <Dialog
      title={text('people.changeOf', { name: person.name })}
      onHide={onHide}
      size="lg"
      action={{
        label: text('people.save'),
        run: () => change.mutate(person.isActive),
        disabled: change.isPending,
      }}
    >
      <RoleAndGroups role={role} given={given} groups={groups.data ?? []} onRole={setRole} onGroups={setGiven} />
      {person.isActive && (
        <div className="d-flex flex-wrap justify-content-between align-items-center gap-2 border-top pt-3">
          <div>
            <strong>{text('people.reset')}</strong>
            <p className="quiet small m-0">{text('people.resetWhy')}</p>
          </div>
          <div className="d-flex flex-wrap gap-2">
            {canMail && person.email && (
              <Button size="sm" variant="outline-primary" disabled={reset.isPending} onClick={() => reset.mutate(true)}>
                {text('people.mailLink')}
              </Button>
            )}
            <Button size="sm" variant="outline-primary" disabled={reset.isPending} onClick={() => reset.mutate(false)}>
              {text('people.makeLink')}
            </Button>
          </div>
        </div>
      )}
      <div className="d-flex flex-wrap justify-content-between align-items-center gap-2 border-top pt-3 mt-3">
        <p className="quiet small m-0">{text(person.isActive ? 'people.letGoWhy' : 'people.gone')}</p>
        <Button
          size="sm"
          variant={person.isActive ? 'outline-danger' : 'outline-primary'}
          disabled={change.isPending}
          onClick={() => change.mutate(!person.isActive)}
        >
          {text(person.isActive ? 'people.letGo' : 'people.bringBack')}
        </Button>
      </div>
      {problem && <ErrorNote problem={problem} />}
    </Dialog>
  );
}
