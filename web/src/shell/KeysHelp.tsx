import { Form } from 'react-bootstrap';
import { text } from '../text/text';
import { isLetter, shownKey, useActionsHere, useLetterKeys } from './actions';
import { Dialog } from './Dialog';

/** What can be done by a key on the page behind it. */
export function KeysHelp({ onHide }: { onHide: () => void }) {
  const actions = useActionsHere();
  const [letters, setLetters] = useLetterKeys();
  return (
    <Dialog title={text('keys.title')} onHide={onHide} cancel={text('keys.close')}>
      <dl className="keys">
        {actions.map((action) => (
          <div key={action.label} className={!letters && action.run && isLetter(action.keys[0]!) ? 'quiet' : undefined}>
            <dt>
              <kbd>{shownKey(action)}</kbd>
            </dt>
            <dd>{text(action.label)}</dd>
          </div>
        ))}
      </dl>
      <Form.Check type="switch" id="letter-keys" label={text('keys.letters')} checked={letters} onChange={(e) => setLetters(e.target.checked)} />
    </Dialog>
  );
}
