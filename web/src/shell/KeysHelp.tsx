import { Button, Modal } from 'react-bootstrap';
import { text, type MessageKey } from '../text/text';

const KEYS: [string, MessageKey][] = [
  ['B', 'keys.b'],
  ['P', 'keys.p'],
  ['C', 'keys.c'],
  ['U', 'keys.u'],
  ['W', 'keys.w'],
  ['A', 'keys.a'],
  ['K', 'keys.k'],
  ['N', 'keys.n'],
  ['S', 'keys.say'],
  ['G', 'keys.g'],
  ['↑ ↓', 'keys.arrows'],
  ['Alt ↑ ↓', 'keys.alt'],
  ['Ctrl X V', 'keys.cut'],
  ['E', 'keys.e'],
  ['Y', 'keys.y'],
  ['A', 'keys.add'],
  ['Del', 'keys.del'],
  ['M 1 2 3', 'keys.m'],
  ['T', 'keys.t'],
  ['H', 'keys.h'],
  ['?', 'keys.help'],
];

export function KeysHelp({ show, onHide }: { show: boolean; onHide: () => void }) {
  return (
    <Modal show={show} onHide={onHide} animation={false} aria-labelledby="keys-title">
      <Modal.Body>
        <h2 id="keys-title">{text('keys.title')}</h2>
        <dl className="keys">
          {KEYS.map(([key, label]) => (
            <div key={label}>
              <dt>
                <kbd>{key}</kbd>
              </dt>
              <dd>{text(label)}</dd>
            </div>
          ))}
        </dl>
        <p className="quiet">{text('board.keys')}</p>
        <Button onClick={onHide}>{text('keys.close')}</Button>
      </Modal.Body>
    </Modal>
  );
}
