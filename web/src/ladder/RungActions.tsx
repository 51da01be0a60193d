import { Button } from 'react-bootstrap';
import { Kbd } from '../shell/Kbd';
import { text } from '../text/text';
import { mergeSteps, newRung, splitSteps, type Rung, type Step } from './editing';
import { BestPlace } from './Suggestions';
import { ReasonForm } from './ReasonForm';
import { TeachForm } from './TeachForm';
import type { Schemas } from '../api/client';

interface Props {
  /** What the rung would do at each place, once that is known. */
  places: Schemas['PlacesView'] | undefined;
  rung: Rung;
  next: Rung | undefined;
  chosen: readonly string[];
  onDo: (name: string, steps: Step[], choose?: string) => void;
  onTake: (move: Schemas['MoveView']) => void;
  onCut: () => void;
  onAdd: () => void;
}

/** What can be done to the chosen rung, or to all chosen ones. */
export function RungActions({ places, rung, next, chosen, onDo, onTake, onCut, onAdd }: Props) {
  const day = (kind: 'review' | 'assessment') => {
    const id = crypto.randomUUID();
    onDo('add', [{ $type: 'insert', rung: newRung(id, rung.stage, { kind }), after: rung.id }], id);
  };
  const split = splitSteps(rung, crypto.randomUUID());
  const many = chosen.length > 1;
  return (
    <div className="border-top border-bottom py-2 px-0 mb-2">
      {places && !many && <BestPlace places={places} onTake={onTake} />}
      <div className="d-flex flex-wrap gap-2 mb-2">
        <Button size="sm" variant="outline-secondary" onClick={onCut}>
          {text(many ? 'edit.cutMany' : 'edit.cut', { count: chosen.length })} <kbd>Ctrl X</kbd>
        </Button>
        <Button
          size="sm"
          variant="outline-secondary"
          onClick={() =>
            onDo(
              'remove',
              chosen.map((id) => ({ $type: 'remove', id })),
            )
          }
        >
          {text(many ? 'edit.removeMany' : 'edit.remove', { count: chosen.length })} <kbd>Del</kbd>
        </Button>
        <Button size="sm" variant="outline-secondary" onClick={onAdd}>
          {text('edit.add')} <Kbd of="A" />
        </Button>
        <Button size="sm" variant="outline-secondary" onClick={() => day('review')}>
          {text('edit.reviewDay')}
        </Button>
        <Button size="sm" variant="outline-secondary" onClick={() => day('assessment')}>
          {text('edit.assessmentDay')}
        </Button>
        {split.length > 0 && !many && (
          <Button size="sm" variant="outline-secondary" onClick={() => onDo('split', split)}>
            {text('edit.split')}
          </Button>
        )}
        {next && rung.kind === 'lesson' && next.kind === 'lesson' && !many && (
          <Button size="sm" variant="outline-secondary" onClick={() => onDo('merge', mergeSteps(rung, next))}>
            {text('edit.merge')}
          </Button>
        )}
      </div>
      {rung.kind === 'lesson' && !many && <TeachForm rung={rung} onDo={onDo} />}
      {rung.kind === 'lesson' && !many && <ReasonForm rung={rung} onDo={onDo} />}
    </div>
  );
}
