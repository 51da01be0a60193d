import { useQuery } from '@tanstack/react-query';
import { Form } from 'react-bootstrap';
import { ladderQuery } from '../ladder/queries';
import { useSchool } from '../session/session';
import { labelText } from '../text/text';

interface Props {
  id: string;
  label: string;
  /** What choosing no rung means. */
  none: string;
  ladder: { ladderId: string; version: number } | null;
  value: string;
  onChange: (rungId: string) => void;
  help?: string;
  /** How many rungs at the beginning can't be chosen. */
  after?: number;
}

/** A rung of a published ladder, by its number and what it teaches. */
export function RungChoice({ id, label, none, ladder, value, onChange, help, after = 0 }: Props) {
  const { school } = useSchool();
  const view = useQuery(ladderQuery(school.id, ladder));
  return (
    <Form.Group controlId={id} className="mb-3">
      <Form.Label>{label}</Form.Label>
      <Form.Select value={value} onChange={(e) => onChange(e.target.value)}>
        <option value="">{none}</option>
        {view.data?.rungs.map(
          (r, i) =>
            i >= after && (
              <option key={r.id} value={r.id}>
                {i + 1}. {labelText(r.label)}
              </option>
            ),
        )}
      </Form.Select>
      {help && <Form.Text>{help}</Form.Text>}
    </Form.Group>
  );
}
