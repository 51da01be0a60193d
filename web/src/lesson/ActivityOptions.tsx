import { textOf } from '../text/text';
import type { LessonView } from './kinds';

/** The activities of a lesson to choose from, by part. */
export function ActivityOptions({ lesson }: { lesson: LessonView['lesson'] }) {
  return lesson.parts.map((part) => (
    <optgroup key={part.kind} label={textOf('part', part.kind)}>
      {part.activities.map((a) => (
        <option key={a.id} value={a.id}>
          {textOf('activity', a.kind)}
        </option>
      ))}
    </optgroup>
  ));
}
