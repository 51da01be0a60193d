import type { Schemas } from '../api/client';
import { labelText, text } from '../text/text';

const WIDTH = 300;
const HEIGHT = 96;

/** How much of a text can be read, rung by rung: the line of running words, where the bar is, where the readers stand. */
export function Curve({ along, bar }: { along: Schemas['TextAlong']; bar: number }) {
  const x = (rungs: number) => (rungs / along.rungs.length) * WIDTH;
  const y = (share: number) => HEIGHT - share * HEIGHT;
  const line = (shares: readonly number[]) => shares.map((s, i) => `${x(i).toFixed(1)},${y(s).toFixed(1)}`).join(' ');
  const standing = along.running[along.standing] ?? 0;
  return (
    <figure className="text-curve mb-0">
      <svg
        viewBox={`-4 -6 ${WIDTH + 8} ${HEIGHT + 12}`}
        role="img"
        aria-label={text('texts.curveSays', {
          standing: along.standing,
          share: Math.floor(standing * 100),
          reached: along.reached ?? 'never',
          bar,
        })}
      >
        <line className="curve-base" x1={0} x2={WIDTH} y1={HEIGHT} y2={HEIGHT} />
        <line className="curve-bar" x1={0} x2={WIDTH} y1={y(bar / 100)} y2={y(bar / 100)} />
        <line className="curve-standing" x1={x(along.standing)} x2={x(along.standing)} y1={0} y2={HEIGHT} />
        <polyline className="curve-different" points={line(along.different)} />
        <polyline className="curve-running" points={line(along.running)} />
        <circle className="curve-now" cx={x(along.standing)} cy={y(standing)} r={4} />
        {along.reached !== null && (
          <path className="curve-reached" d={`M${x(along.reached)} ${y(bar / 100) - 6} l5 6 l-5 6 l-5 -6 z`} />
        )}
      </svg>
      <figcaption className="quiet small d-flex flex-wrap column-gap-3">
        <span>● {text('texts.curveNow')}</span>
        {along.reached !== null && along.reached > 0 && (
          <span>◆ {text('texts.curveReached', { rung: labelText(along.rungs[along.reached - 1]!) })}</span>
        )}
        <span>{text('texts.curveLines')}</span>
      </figcaption>
    </figure>
  );
}
