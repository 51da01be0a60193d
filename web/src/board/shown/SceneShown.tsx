import type { SceneItem } from '../../lesson/kinds';
import { Picture, pictureOf } from '../../lesson/Picture';
import { MarkedWord } from '../../words/MarkedWord';
import type { Shown } from './shown';

/** A place with things in it: children write their words, and one word after the other is shown under its thing. */
export function SceneShown({ item, step }: Shown & { item: SceneItem }) {
  const half = (upper: boolean) => (
    <span className="board-scene-half d-flex justify-content-around align-items-end">
      {item.things.map(
        (thing, i) =>
          thing.upper === upper && (
            <span key={thing.word} className={`board-thing board-thing-${thing.size}`}>
              <Picture name={thing.picture} size={160} />
              <span className={`board-thing-word rounded literacy${i < step ? '' : ' invisible'}`}>
                {i < step && <MarkedWord word={thing.word} marks={thing.marks} />}
              </span>
            </span>
          ),
      )}
    </span>
  );
  return (
    <span className="board-scene d-grid rounded" style={{ backgroundImage: `url(${pictureOf(item.backdrop)})` }}>
      {half(true)}
      {half(false)}
    </span>
  );
}
