import { Picture } from '../lesson/Picture';
import { saysText, text } from '../text/text';
import { MarkedWord } from '../words/MarkedWord';
import { shown } from '../words/spelling';
import { Leaf } from './Leaf';
import type { Card, CardGrid, CardSide } from './queries';

interface Props {
  cards: readonly Card[];
  sides: readonly CardSide[];
  grid: CardGrid;
  paper: string;
}

/** Pages of cards with lines to cut along; where they have backs, a page of backs after each. */
export function CardSides({ cards, sides, grid, paper }: Props) {
  return (
    <div className={`leaves cards-${grid.size}`}>
      {sides.map((side, i) => (
        <Leaf key={i} paper={paper} label={text(side.back ? 'cards.back' : 'cards.front', { at: i + 1 })}>
          <div
            className="card-grid"
            style={{
              gridTemplateColumns: `repeat(${grid.columns}, 1fr)`,
              gridTemplateRows: `repeat(${grid.rows}, 1fr)`,
            }}
          >
            {side.places.map((place, p) => (
              <div key={p} className="card-place">
                {place !== null && <Face face={side.back ? cards[place]!.back : cards[place]!.front} />}
              </div>
            ))}
          </div>
        </Leaf>
      ))}
    </div>
  );
}

/** One side of a card, its letters as large as there is room for. */
function Face({ face }: { face: Card['front'] }) {
  const hasMore = Boolean(face.picture) || face.says.length > 0 || face.graphemes.length > 0 || face.phrase !== '';
  return (
    <div
      className={`card-face${hasMore ? ' card-shared' : ''}`}
      style={{ ['--letters' as string]: Math.max(2, face.text.length) }}
    >
      {face.picture && <Picture name={face.picture} />}
      {face.text && (
        <span className="card-text literacy">
          {face.marks.length > 0 ? (
            <MarkedWord word={face.text} marks={face.marks} tricky={face.tricky} />
          ) : (
            shown(face.text)
          )}
        </span>
      )}
      {face.says.map((s) => (
        <span key={s.sounds} className="card-says">
          {saysText(s.sounds, s.keyWord)}
        </span>
      ))}
      {face.phrase && (
        <span className="card-says card-phrase" style={{ ['--phrase' as string]: face.phrase.length }}>
          {face.phrase}
        </span>
      )}
      {face.graphemes.length > 0 && (
        <span className="card-graphemes literacy">
          {face.graphemes.map((g) => (
            <span key={g}>{g}</span>
          ))}
        </span>
      )}
    </div>
  );
}
