import { Form } from 'react-bootstrap';

/** A line of a form at the door, with its label and a word of help. */
export function Field({
  id,
  label,
  value,
  onChange,
  help,
  ...rest
}: {
  id: string;
  label: string;
  value: string;
  onChange: (value: string) => void;
  help?: string;
  type?: string;
  autoComplete?: string;
  maxLength?: number;
  minLength?: number;
}) {
  return (
    <Form.Group controlId={id}>
      <Form.Label>{label}</Form.Label>
      <Form.Control required value={value} onChange={(e) => onChange(e.target.value)} {...rest} />
      {help && <Form.Text>{help}</Form.Text>}
    </Form.Group>
  );
}
