import { soundText, textOf } from '../text/text';
import type { PatternItem, PatternModel } from './kinds';

/** How the words of a pattern are built: hop + ing = hopping, with what happens where the parts meet. */
export function PatternModels({ item, answers = true }: { item: PatternItem; answers?: boolean }) {
  return (
    <>
      {(item.examples ?? []).map((example) => (
        <span key={example.sounds} className="d-flex flex-wrap gap-3">
          {example.sounds && <span>{soundText(example.sounds)}</span>}
          {example.models?.length ? (
            example.models.map((model) => <ModelShown key={model.word} model={model} answers={answers} />)
          ) : (
            <span className="literacy">{example.words.join(', ')}</span>
          )}
        </span>
      ))}
    </>
  );
}

/** One word in its parts; with the answer the word itself, and what happens where they meet. */
export function ModelShown({ model, answers = true }: { model: PatternModel; answers?: boolean }) {
  return (
    <span className="literacy">
      {model.parts.map((part, i) => (
        <span key={i}>
          {i > 0 && ' + '}
          <span className={i === model.marked ? 'model-part' : undefined}>{part}</span>
        </span>
      ))}
      {answers && ` = ${model.word}`}
      {answers && model.join && <small className="quiet"> {textOf('join', model.join)}</small>}
    </span>
  );
}
