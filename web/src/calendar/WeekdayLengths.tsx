import { Form } from 'react-bootstrap';
import { useFacts } from '../facts/facts';
import { text, weekdayText } from '../text/text';

/** No weekday has a length of its own. */
export const USUAL_LENGTHS = [0, 0, 0, 0, 0, 0, 0];

interface Props {
  name: string;
  /** The group's weekdays with lessons. */
  days: readonly number[];
  usual: number;
  /** From Monday; 0 for the usual length. */
  minutes: readonly number[];
  onChange: (minutes: number[]) => void;
}

/** Lengths of a group's lessons by weekday. */
export function WeekdayLengths({ name, days, usual, minutes, onChange }: Props) {
  const facts = useFacts();
  return (
    <div className="d-flex flex-wrap gap-2 mb-2">
      {days.map((d) => (
        <label key={d} className="d-flex align-items-center gap-1">
          {weekdayText(d)}
          <Form.Select
            className="w-auto"
            size="sm"
            aria-label={`${name}, ${weekdayText(d)}`}
            value={minutes[d - 1] || usual}
            onChange={(e) => {
              const chosen = Number(e.target.value);
              onChange(minutes.map((m, i) => (i === d - 1 ? (chosen === usual ? 0 : chosen) : m)));
            }}
          >
            {facts.lengths.map((m) => (
              <option key={m} value={m}>
                {text('calendar.minutes', { minutes: m })}
              </option>
            ))}
          </Form.Select>
        </label>
      ))}
    </div>
  );
}
