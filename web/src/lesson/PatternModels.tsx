import { soundText, textOf } from '../text/text';
import type { PatternItem } from './kinds';

/** How the words of a pattern are built: hop + ing = hopping, with what happens where the parts meet. */
export function PatternModels({ item, answers = true }: { item: PatternItem; answers?: boolean }) {
  return (
    <>
      {(item.examples ?? []).map((example) => (
        <span key={example.sounds} className="d-flex flex-wrap gap-3">
          {example.sounds && <span>{soundText(example.sounds)}</span>}
          {example.models?.length ? (
            example.models.map((model) => (
              <span key={model.word} className="literacy">
                {model.parts.map((part, i) => (
                  <span key={i}>
                    {i > 0 && ' + '}
                    <span className={i === model.marked ? 'model-part' : undefined}>{part}</span>
                  </span>
                ))}
                {answers && ` = ${model.word}`}
                {answers && model.join && <small className="quiet"> {textOf('join', model.join)}</small>}
              </span>
            ))
          ) : (
            <span className="literacy">{example.words.join(', ')}</span>
          )}
        </span>
      ))}
    </>
  );
}
