import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { text, textOf } from '../text/text';
import { ROLES, seesAll, type Role } from './roles';

/** What someone may do in the school, and with which groups. */
export function RoleAndGroups({
  role,
  given,
  groups,
  onRole,
  onGroups,
}: {
  role: Role;
  given: readonly string[];
  groups: readonly Schemas['GroupView'][];
  onRole: (role: Role) => void;
  onGroups: (given: string[]) => void;
}) {
  return (
    <>
      <fieldset className="mb-3">
        <legend className="fs-6 mb-1">{text('people.role')}</legend>
        {ROLES.map((r) => (
          <Form.Check
            key={r}
            type="radio"
            id={`role-${r}`}
            name="role"
            checked={role === r}
            onChange={() => onRole(r)}
            label={
              <>
                <strong>{textOf('role', r)}</strong> <span className="quiet small">{textOf('role.what', r)}</span>
              </>
            }
          />
        ))}
      </fieldset>
      {!seesAll(role) && (
        <fieldset className="mb-3">
          <legend className="fs-6 mb-1">{text('invite.groups')}</legend>
          {groups.length === 0 && <p className="quiet">{text('invite.noGroups')}</p>}
          {groups.map((g) => (
            <Form.Check
              key={g.id}
              inline
              id={`given-${g.id}`}
              label={g.name}
              checked={given.includes(g.id)}
              onChange={(e) => onGroups(e.target.checked ? [...given, g.id] : given.filter((id) => id !== g.id))}
            />
          ))}
        </fieldset>
      )}
    </>
  );
}
