import { Fragment } from 'react';
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
      <dl className="row">
        {actions.map((action) => (
          <Fragment key={action.label}>
            <dt className="col-2">
              <kbd>{shownKey(action)}</kbd>
            </dt>
            <dd className={!letters && action.run && isLetter(action.keys[0]!) ? 'col-10 quiet' : 'col-10'}>
              {text(action.label)}
            </dd>
          </Fragment>
        ))}
      </dl>
      <Form.Check
        type="switch"
        id="letter-keys"
        label={text('keys.letters')}
        checked={letters}
        onChange={(e) => setLetters(e.target.checked)}
      />
    </Dialog>
  );
}
