import { Form } from 'react-bootstrap';

interface Props {
  id: string;
  label: string;
  /** Endings of files that may be chosen. */
  accept: string;
  help?: string;
  onFile: (file: Blob | null) => void;
}

/** A file to choose, with its label. */
export function FileChoice({ id, label, accept, help, onFile }: Props) {
  return (
    <Form.Group controlId={id} className="mb-3">
      <Form.Label>{label}</Form.Label>
      <Form.Control
        type="file"
        accept={accept}
        onChange={(e) => onFile((e.target as HTMLInputElement).files?.[0] ?? null)}
      />
      {help && <Form.Text>{help}</Form.Text>}
    </Form.Group>
  );
}
