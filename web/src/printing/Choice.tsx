import { Form } from 'react-bootstrap';

interface Props<T extends string> {
  id: string;
  label: string;
  value: T;
  options: readonly T[];
  name: (option: T) => string;
  onChoose: (option: T) => void;
}

/** A list to choose from, with its label over it. */
export function Choice<T extends string>({ id, label, value, options, name, onChoose }: Props<T>) {
  return (
    <Form.Group controlId={id}>
      <Form.Label className="quiet mb-1">{label}</Form.Label>
      <Form.Select value={value} onChange={(e) => onChoose(e.target.value as T)}>
        {options.map((option) => (
          <option key={option} value={option}>
            {name(option)}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
}
