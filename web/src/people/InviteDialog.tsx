import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { groupsQuery } from '../groups/queries';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import { RoleAndGroups } from './RoleAndGroups';
import { seesAll, type Role } from './roles';

const DAYS = [1, 3, 7, 14, 30];
const USUAL = 7;

/** A link for somebody new: whom it is for, as what, with which groups, for how long. */
export function InviteDialog({
  canMail,
  onMade,
  onHide,
}: {
  canMail: boolean;
  onMade: (link: Schemas['LinkView']) => void;
  onHide: () => void;
}) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const groups = useQuery(groupsQuery(school.id));
  const [id] = useState(() => crypto.randomUUID());
  const [name, setName] = useState('');
  const [role, setRole] = useState<Role>('teacher');
  const [given, setGiven] = useState<string[]>([]);
  const [days, setDays] = useState(USUAL);
  const [mail, setMail] = useState('');
  const make = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/invitations', {
          params: { path: { schoolId: school.id } },
          body: { id, for: name, role, groups: seesAll(role) ? [] : given, days, mailTo: mail.trim() || null },
        }),
      ),
    onSuccess: (link) => {
      void nowStale(queries, school.id, 'people');
      onMade(link);
    },
  });
  return (
    <Dialog
      title={text('invite.title')}
      onHide={onHide}
      size="lg"
      action={{ label: text('invite.make'), run: () => make.mutate(), disabled: make.isPending }}
    >
      <Form.Group controlId="invite-for" className="mb-3">
        <Form.Label>{text('invite.for')}</Form.Label>
        <Form.Control required maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
        <Form.Text>{text('invite.forHelp')}</Form.Text>
      </Form.Group>
      <RoleAndGroups role={role} given={given} groups={groups.data ?? []} onRole={setRole} onGroups={setGiven} />
      <Form.Group controlId="invite-days">
        <Form.Label>{text('invite.days')}</Form.Label>
        <Form.Select className="w-auto" value={days} onChange={(e) => setDays(Number(e.target.value))}>
          {DAYS.map((d) => (
            <option key={d} value={d}>
              {text('invite.daysOf', { days: d })}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      {canMail && (
        <Form.Group controlId="invite-mail" className="mt-3">
          <Form.Label>{text('invite.mail')}</Form.Label>
          <Form.Control type="email" maxLength={256} value={mail} onChange={(e) => setMail(e.target.value)} />
          <Form.Text>{text('invite.mailHelp')}</Form.Text>
        </Form.Group>
      )}
      {make.error && <ErrorNote problem={make.error} />}
    </Dialog>
  );
}
