import { useLayoutEffect, useRef } from 'react';
import type { Schemas } from '../api/client';
import { Picture } from '../lesson/Picture';
import { stageText, text } from '../text/text';

const LARGEST = 1;
const SMALLEST = 0.2;
const STEP = 0.02;

/** A whole ladder, stretch by stretch, as large as the page lets it be. */
export function Poster({ wall }: { wall: Schemas['WallView'] }) {
  const poster = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const fit = () => {
      const element = poster.current;
      if (!element) return;
      let size = LARGEST;
      const set = () => element.style.setProperty('--poster', size.toFixed(2));
      set();
      while (size > SMALLEST && element.scrollHeight > element.clientHeight) {
        size -= STEP;
        set();
      }
    };
    fit();
    void document.fonts?.ready.then(fit);
  });
  return (
    <div className="poster" ref={poster}>
      <h2>{text('wall.title', { group: wall.groupName })}</h2>
      {wall.stages.map((stage) => (
        <section key={stage.stage}>
          <h3>{stageText(stage.stage)}</h3>
          <ul>
            {stage.cells.map((cell) => (
              <li key={cell.notation} className={cell.taught ? 'poster-taught' : undefined}>
                <span className="literacy">{cell.grapheme}</span>
                {cell.picture ? <Picture name={cell.picture} /> : <small>{cell.keyWord}</small>}
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
