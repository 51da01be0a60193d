import { Form } from 'react-bootstrap';
import { weekdayText } from '../text/text';

/** The weekdays with lessons. */
export function LessonDays({
  id,
  days,
  onChange,
}: {
  id: string;
  days: readonly number[];
  onChange: (days: number[]) => void;
}) {
  return (
    <div className="form-line d-flex flex-wrap gap-2 align-items-center mb-2">
      {[1, 2, 3, 4, 5, 6, 7].map((d) => (
        <Form.Check
          key={d}
          id={`day-${id}-${d}`}
          label={weekdayText(d)}
          checked={days.includes(d)}
          onChange={(e) => onChange(e.target.checked ? [...days, d].sort() : days.filter((other) => other !== d))}
        />
      ))}
    </div>
  );
}
