import { reasonText, text } from '../text/text';
import type { Activity } from './kinds';
import { blendText } from './said';

/** How the first word is blended; words for who needs it easier and who needs it harder, or why there are none. */
export function LevelsLine({ activity }: { activity: Activity }) {
  const wordsOf = (items: Activity['items']) => items.map((i) => (i.$type === 'word' ? i.word : '')).join(', ');
  return (
    <p className="levels mt-1 mb-0 quiet d-flex flex-wrap row-gap-0 column-gap-4">
      {blendText(activity) && (
        <span>
          {text('lesson.blend')}: <span className="literacy text-body">{blendText(activity)}</span>
        </span>
      )}
      {(['support', 'stretch'] as const).map((level) =>
        activity.levels && activity.levels[level].length > 0 ? (
          <span key={level}>
            {text(`lesson.${level}`)}: <span className="literacy text-body">{wordsOf(activity.levels[level])}</span>
          </span>
        ) : null,
      )}
      {(activity.levels?.reasons ?? []).map((r) => (
        <span key={r.code}>{reasonText(r)}</span>
      ))}
    </p>
  );
}
