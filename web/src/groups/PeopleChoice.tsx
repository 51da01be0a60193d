import { useQuery } from '@tanstack/react-query';
import { Button, Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { LessonDays } from '../calendar/LessonDays';
import { peopleQuery } from '../people/queries';
import { seesAll } from '../people/roles';
import { useSchool } from '../session/session';
import { text } from '../text/text';

export type Taker = Schemas['GroupTaker'];

const WEEK = [1, 2, 3, 4, 5];

interface Props {
  /** Told apart from other choices on the page. */
  id?: string;
  chosen: readonly Taker[];
  onChange: (chosen: Taker[]) => void;
}

/** Who takes a group, of those who see only the groups given to them, and on which days. */
export function PeopleChoice({ id = '', chosen, onChange }: Props) {
  const { school } = useSchool();
  const people = useQuery(peopleQuery(school.id));
  const takerOf = (person: string) => chosen.find((t) => t.id === person);
  const there = people.data?.people.filter((p) => p.isActive && (!seesAll(p.role) || takerOf(p.id))) ?? [];
  if (there.length === 0) return null;
  const set = (person: string, weekdays: number[] | null) =>
    onChange(chosen.map((t) => (t.id === person ? { ...t, weekdays } : t)));
  return (
    <fieldset className="mb-3">
      <legend className="fs-6 mb-1">{text('newGroup.people')}</legend>
      {there.map((p) => {
        const taker = takerOf(p.id);
        return (
          <div key={p.id} className="d-flex flex-wrap align-items-center column-gap-3">
            <Form.Check
              id={`takes-${id}${p.id}`}
              label={p.name}
              checked={taker !== undefined}
              onChange={(e) =>
                onChange(
                  e.target.checked ? [...chosen, { id: p.id, weekdays: null }] : chosen.filter((t) => t.id !== p.id),
                )
              }
            />
            {taker && (
              <Button
                size="sm"
                variant="link"
                className="p-0"
                aria-label={`${p.name}: ${text(taker.weekdays ? 'newGroup.someDays' : 'newGroup.everyDay')}`}
                aria-expanded={taker.weekdays !== null}
                onClick={() => set(p.id, taker.weekdays ? null : WEEK)}
              >
                {text(taker.weekdays ? 'newGroup.someDays' : 'newGroup.everyDay')}
              </Button>
            )}
            {taker?.weekdays && (
              <LessonDays id={`takes-${id}${p.id}`} days={taker.weekdays} onChange={(days) => set(p.id, days)} />
            )}
          </div>
        );
      })}
    </fieldset>
  );
}
