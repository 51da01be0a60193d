import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { Dialog } from '../shell/Dialog';
import { isChunk, labelText, stageText, teachingText, text } from '../text/text';
import { Chip } from '../shell/Chip';
import { newRung, type Rung, type Step } from './editing';
import { TeachingPicker } from './TeachingPicker';

interface Props {
  after: Rung | undefined;
  onDo: (name: string, steps: Step[], choose?: string) => void;
  onHide: () => void;
}

/** A new rung after the chosen one: letters, a pattern, or a day for tricky words alone. */
export function AddRungDialog({ after, onDo, onHide }: Props) {
  const [taught, setTaught] = useState<string[]>([]);
  const [stage, setStage] = useState(stageText(after?.stage ?? text('edit.firstStage')));
  const submit = () => {
    const id = crypto.randomUUID();
    const name = after && stage.trim() === stageText(after.stage) ? after.stage : stage.trim();
    onDo(
      'add',
      [
        {
          $type: 'insert',
          rung: newRung(id, name, {
            correspondences: taught.filter((t) => t.includes('=') && !isChunk(t)),
            patterns: taught.filter((t) => !t.includes('=')),
            chunks: taught.filter(isChunk),
          }),
          after: after?.id ?? null,
        },
      ],
      id,
    );
    onHide();
  };
  return (
    <Dialog
      title={after ? text('edit.addAfter', { label: labelText(after.label) }) : text('edit.addFirst')}
      onHide={onHide}
      action={{ label: text('edit.addRung'), run: submit }}
    >
      <TeachingPicker not={taught} onPick={(what) => setTaught([...taught, what])} />
      <ul className="list-unstyled d-flex flex-wrap gap-2 my-2 mx-0">
        {taught.map((t) => (
          <Chip
            key={t}
            off={text('edit.takeOff', { label: isChunk(t) ? teachingText(t) : labelText(t) })}
            onOff={() => setTaught(taught.filter((other) => other !== t))}
          >
            {teachingText(t)}
          </Chip>
        ))}
      </ul>
      {taught.length === 0 && <p className="quiet small">{text('edit.trickyOnly')}</p>}
      <Form.Group controlId="add-stage" className="mb-3">
        <Form.Label>{text('ladder.stageName')}</Form.Label>
        <Form.Control required maxLength={80} value={stage} onChange={(e) => setStage(e.target.value)} />
      </Form.Group>
    </Dialog>
  );
}
