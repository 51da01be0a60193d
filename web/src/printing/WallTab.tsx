import { useQuery } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { text, textOf } from '../text/text';
import { Choice } from './Choice';
import { useChoices } from './choices';
import { Leaf } from './Leaf';
import { Poster } from './Poster';
import { wallQuery, type Day } from './queries';

const SIZES = ['page', 'a3', 'tiled'] as const;

/** The ladder for the wall, on one page or on several that are put together. */
export function WallTab({ day }: { day: Day }) {
  const { school } = useSchool();
  const { choose, oneOf } = useChoices();
  const size = oneOf('poster', SIZES);
  const wall = useQuery(wallQuery(day));
  if (wall.isPending) return <Loading />;
  if (wall.error) return <ErrorNote problem={wall.error} retry={() => void wall.refetch()} />;
  const label = text('wall.title', { group: wall.data.groupName });
  return (
    <>
      <div className="no-print d-flex flex-wrap align-items-end gap-3 mb-3">
        <Choice
          id="poster-size"
          label={text('wall.size')}
          value={size}
          options={SIZES}
          name={(s) => textOf('poster', s)}
          onChoose={(s) => choose({ poster: s })}
        />
        <Button onClick={() => window.print()}>{text('gather.print')}</Button>
        <Link to={`/groups/${day.groupId}/mats/${day.date}`}>{text('wall.mat')}</Link>
      </div>
      <div className="leaves">
        {size === 'tiled' ? (
          [0, 1].flatMap((row) =>
            [0, 1].map((column) => (
              <Leaf
                paper={school.paperSize}
                key={`${row}${column}`}
                label={text('wall.part', { at: 2 * row + column + 1 })}
              >
                <div className="tile-window">
                  <div
                    className="tile-poster"
                    style={{ transform: `translate(${-column * 100}%, ${-row * 100}%) scale(2)` }}
                  >
                    <Poster wall={wall.data} />
                  </div>
                </div>
                <small className="tile-name">{text('wall.part', { at: 2 * row + column + 1 })}</small>
              </Leaf>
            )),
          )
        ) : (
          <Leaf paper={school.paperSize} a3={size === 'a3'} label={label}>
            <div className="tile-window">
              <Poster wall={wall.data} />
            </div>
          </Leaf>
        )}
      </div>
    </>
  );
}
