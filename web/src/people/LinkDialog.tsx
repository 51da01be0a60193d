import { useState } from 'react';
import { Button, Form, InputGroup } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Dialog } from '../shell/Dialog';
import { momentText, text } from '../text/text';

/** A link to give away: shown once, to be copied. Its key stays behind the #, so that no server log has it. */
export function LinkDialog({
  page,
  link,
  onHide,
}: {
  page: '/join' | '/reset';
  link: Schemas['LinkView'];
  onHide: () => void;
}) {
  const [copied, setCopied] = useState(false);
  const address = `${window.location.origin}${page}#${link.key}`;
  return (
    <Dialog title={text('link.title')} onHide={onHide} cancel={text('link.done')}>
      <p>{text('link.why')}</p>
      <InputGroup>
        <Form.Control
          readOnly
          aria-label={text('link.address')}
          value={address}
          onFocus={(e) => e.target.select()}
          className="font-monospace small"
        />
        <Button
          onClick={() => {
            void navigator.clipboard.writeText(address).then(() => setCopied(true));
          }}
        >
          {text(copied ? 'link.copied' : 'link.copy')}
        </Button>
      </InputGroup>
      <p className="quiet small mt-2 mb-0">{text('link.until', { date: momentText(link.expiresAt) })}</p>
    </Dialog>
  );
}
