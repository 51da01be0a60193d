import { useQuery } from '@tanstack/react-query';
import { Form } from 'react-bootstrap';
import { groupsQuery } from '../groups/queries';
import { ladderQuery } from '../ladder/queries';
import { useSchool } from '../session/session';
import { labelText, text } from '../text/text';
import type { Level } from './queries';

interface Props {
  level: Level;
  onChange: (level: Level) => void;
}

const RUNG = 'rung';
const OWN = 'own';

/** Who is to read: a group today, anyone after a rung, or a set of graphemes of one's own. */
export function LevelChoice({ level, onChange }: Props) {
  const { school } = useSchool();
  const groups = useQuery(groupsQuery(school.id)).data ?? [];
  const first = groups[0];
  const on = first ? { ladderId: first.ladderId, version: first.ladderVersion } : null;
  const ladder = useQuery(ladderQuery(school.id, on)).data;
  const kind = level.groupId ?? (level.ladderId ? RUNG : OWN);
  const choose = (next: string) => {
    if (next === OWN) onChange({ own: '' });
    else if (next === RUNG) onChange({ ...on!, rung: ladder?.rungs[0]?.id ?? '' });
    else onChange({ groupId: next });
  };
  return (
    <div className="d-flex flex-wrap gap-3 align-items-end">
      <Form.Group controlId="text-level">
        <Form.Label className="quiet mb-1">{text('texts.for')}</Form.Label>
        <Form.Select value={kind} onChange={(e) => choose(e.target.value)}>
          {groups.map((g) => (
            <option key={g.id} value={g.id}>
              {text('texts.groupToday', { group: g.name })}
            </option>
          ))}
          {on && <option value={RUNG}>{text('texts.anyRung')}</option>}
          <option value={OWN}>{text('texts.ownSet')}</option>
        </Form.Select>
      </Form.Group>
      {level.ladderId && (
        <Form.Group controlId="text-rung">
          <Form.Label className="quiet mb-1">{text('texts.afterRung')}</Form.Label>
          <Form.Select value={level.rung ?? ''} onChange={(e) => onChange({ ...level, rung: e.target.value })}>
            {(ladder?.rungs ?? []).map((r, i) => (
              <option key={r.id} value={r.id}>
                {`${i + 1}. ${labelText(r.label)}`}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
      {kind === OWN && (
        <Form.Group controlId="text-own" className="flex-grow-1">
          <Form.Label className="quiet mb-1">{text('texts.ownHelp')}</Form.Label>
          <Form.Control
            className="literacy"
            value={level.own ?? ''}
            maxLength={4000}
            placeholder="s a t p i n sh ch ai | the said"
            onChange={(e) => onChange({ own: e.target.value })}
          />
        </Form.Group>
      )}
    </div>
  );
}
