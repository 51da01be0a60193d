import { useId, type FormEvent, type ReactNode } from 'react';
import { Button, Form, Modal } from 'react-bootstrap';
import { text } from '../text/text';

interface Props {
  title: string;
  onHide: () => void;
  children: ReactNode;
  /** What the dialog does; without it, it only shows something. */
  action?: { label: string; run: () => void; disabled?: boolean; variant?: string };
  /** What leaving it is called. */
  cancel?: string;
  /** More buttons beside these. */
  more?: ReactNode;
  size?: 'lg' | 'xl';
}

/** A dialog: its title, what is in it, and a row of what can be done. Enter does it, Escape leaves it. */
export function Dialog({ title, onHide, children, action, cancel, more, size }: Props) {
  const id = useId();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (action && !action.disabled) action.run();
  };
  return (
    <Modal show onHide={onHide} animation={false} aria-labelledby={id} {...(size ? { size } : {})}>
      <Modal.Body as={action ? Form : 'div'} onSubmit={submit}>
        <h2 id={id}>{title}</h2>
        {children}
        <div className="d-flex flex-wrap gap-2 mt-3">
          {action && (
            <Button type="submit" variant={action.variant ?? 'primary'} disabled={action.disabled}>
              {action.label}
            </Button>
          )}
          <Button variant={action ? 'outline-secondary' : 'primary'} onClick={onHide}>
            {cancel ?? text('dialog.cancel')}
          </Button>
          {more}
        </div>
      </Modal.Body>
    </Modal>
  );
}
