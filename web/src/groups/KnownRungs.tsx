import { Form } from 'react-bootstrap';
import { labelText } from '../text/text';

interface Props {
  rungs: readonly { id: string; label: string }[];
  known: readonly string[];
  onChange: (known: string[]) => void;
}

/** What a group knows, ticked rung by rung, wherever it stands on the ladder. */
export function KnownRungs({ rungs, known, onChange }: Props) {
  return (
    <div className="known-rungs row row-cols-3 row-cols-sm-4 row-cols-md-6 border rounded bg-white m-0 py-2 mb-3">
      {rungs.map((r, i) => (
        <div key={r.id} className="col">
          <Form.Check
            id={`known-${r.id}`}
            label={
              <>
                <span className="quiet small">{i + 1}.</span> <span className="literacy">{labelText(r.label)}</span>
              </>
            }
            checked={known.includes(r.id)}
            onChange={(e) => onChange(e.target.checked ? [...known, r.id] : known.filter((other) => other !== r.id))}
          />
        </div>
      ))}
    </div>
  );
}
