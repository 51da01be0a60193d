import { useQuery } from '@tanstack/react-query';
import { Form } from 'react-bootstrap';
import { peopleQuery } from '../people/queries';
import { seesAll } from '../people/roles';
import { useSchool } from '../session/session';
import { text } from '../text/text';

/** Who takes a group: those who see only the groups given to them. */
export function PeopleChoice({
  chosen,
  onChange,
}: {
  chosen: readonly string[];
  onChange: (chosen: string[]) => void;
}) {
  const { school } = useSchool();
  const people = useQuery(peopleQuery(school.id));
  const there = people.data?.people.filter((p) => p.isActive && (!seesAll(p.role) || chosen.includes(p.id))) ?? [];
  if (there.length === 0) return null;
  return (
    <fieldset className="mb-3">
      <legend className="fs-6 mb-1">{text('newGroup.people')}</legend>
      {there.map((p) => (
        <Form.Check
          key={p.id}
          inline
          id={`takes-${p.id}`}
          label={p.name}
          checked={chosen.includes(p.id)}
          onChange={(e) => onChange(e.target.checked ? [...chosen, p.id] : chosen.filter((id) => id !== p.id))}
        />
      ))}
    </fieldset>
  );
}
