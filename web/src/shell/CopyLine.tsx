import { useState } from 'react';
import { Button, Form, InputGroup } from 'react-bootstrap';
import { text } from '../text/text';

/** Something to copy: seen as a whole, copied with one click. */
export function CopyLine({ label, value }: { label: string; value: string }) {
  const [copied, setCopied] = useState(false);
  return (
    <InputGroup>
      <Form.Control
        readOnly
        aria-label={label}
        value={value}
        onFocus={(e) => e.target.select()}
        className="font-monospace small"
      />
      <Button
        onClick={() => {
          void navigator.clipboard.writeText(value).then(() => setCopied(true));
        }}
      >
        {text(copied ? 'link.copied' : 'link.copy')}
      </Button>
    </InputGroup>
  );
}
