import { Button, CloseButton, Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { useFacts } from '../facts/facts';
import { labelText, text, textOf } from '../text/text';
import type { Slot } from './template';

interface Props {
  slot: Slot;
  part: Schemas['PartKind'];
  editable: boolean;
  isFirst: boolean;
  isLast: boolean;
  onChange: (slot: Slot) => void;
  onMove: (by: -1 | 1) => void;
  onRemove: () => void;
  /** On which days it can't be filled; null while that is not asked. */
  fit: Schemas['SlotFit'] | null;
}

/** One place of a template: which activities may stand there, how many items, and when it is filled. */
export function SlotRow({ slot, part, editable, isFirst, isLast, onChange, onMove, onRemove, fit }: Props) {
  const may = useFacts().activities.filter((a) => !slot.kinds.includes(a.kind) && a.parts.includes(part));
  return (
    <div className="slot d-flex flex-column d-lg-grid bg-white gap-2 align-items-lg-center rounded py-2 px-3">
      <div className="d-flex flex-wrap align-items-center gap-1">
        {slot.kinds.map((kind) => (
          <span key={kind} className="border rounded-pill d-inline-flex align-items-center gap-1 py-1 px-3">
            {textOf('activity', kind)}
            {editable && slot.kinds.length > 1 && (
              <CloseButton
                className="small"
                aria-label={text('templates.removeKind', { activity: textOf('activity', kind) })}
                onClick={() => onChange({ ...slot, kinds: slot.kinds.filter((k) => k !== kind) })}
              />
            )}
          </span>
        ))}
        {editable && (
          <Form.Select
            size="sm"
            className="w-auto"
            value=""
            aria-label={text('templates.addKind')}
            onChange={(e) =>
              e.target.value && onChange({ ...slot, kinds: [...slot.kinds, e.target.value as Slot['kinds'][number]] })
            }
          >
            <option value="">{text('templates.addKind')}</option>
            {may.map((a) => (
              <option key={a.kind} value={a.kind}>
                {textOf('activity', a.kind)}
              </option>
            ))}
          </Form.Select>
        )}
        {slot.kinds.length > 1 && (
          <Form.Select
            size="sm"
            className="w-auto"
            disabled={!editable}
            value={slot.takeTurns ? 'turns' : 'first'}
            aria-label={text('templates.turns')}
            onChange={(e) => onChange({ ...slot, takeTurns: e.target.value === 'turns' })}
          >
            <option value="turns">{text('templates.turns')}</option>
            <option value="first">{text('templates.first')}</option>
          </Form.Select>
        )}
      </div>
      <Form.Control
        size="sm"
        type="number"
        min={1}
        max={30}
        disabled={!editable}
        value={slot.items}
        aria-label={text('templates.items')}
        onChange={(e) => onChange({ ...slot, items: Math.min(30, Math.max(1, Number(e.target.value) || 1)) })}
      />
      <Form.Select
        size="sm"
        disabled={!editable}
        value={slot.need}
        aria-label={text('templates.need')}
        onChange={(e) => onChange({ ...slot, need: e.target.value as Slot['need'] })}
      >
        {(['must', 'if-any', 'room'] as const).map((need) => (
          <option key={need} value={need}>
            {text(`templates.need.${need}`)}
          </option>
        ))}
      </Form.Select>
      {editable && (
        <span>
          <Button size="sm" variant="link" disabled={isFirst} onClick={() => onMove(-1)}>
            {text('templates.up')}
          </Button>
          <Button size="sm" variant="link" disabled={isLast} onClick={() => onMove(1)}>
            {text('templates.down')}
          </Button>
          <Button size="sm" variant="link" onClick={onRemove}>
            {text('templates.remove')}
          </Button>
        </span>
      )}
      {fit && fit.tried > 0 && (
        <p className={`slot-fit small mb-0${fit.missing.length > 0 ? ' flag-note rounded py-1 px-2' : ' quiet'}`}>
          {fit.missing.length === 0
            ? text('templates.fits', { tried: fit.tried })
            : text('templates.fitsNot', {
                missing: fit.missing.length,
                tried: fit.tried,
                days: fit.missing.map(labelText).join(', '),
              })}
        </p>
      )}
    </div>
  );
}
