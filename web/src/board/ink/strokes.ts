/** What draws: a pen, a highlighter under which the letters stay readable, or the eraser. */
export type Tool = 'pen' | 'highlighter' | 'eraser';

/**
 * A line that was drawn over the board. Its points are x, y and pressure one after the other: x and y in
 * ten-thousandths of the board's width and height, so that it stays where it was in a window of another size; pressure in percent.
 */
export interface Stroke {
  tool: 'pen' | 'highlighter';
  points: readonly number[];
}

/** So many numbers make a point. */
const EACH = 3;

/** Points nearer than this, in ten-thousandths of the board, say nothing new. */
const NEAR = 12;

/** How near the eraser must come to a line. */
const REACH = 160;

export const SCALE = 10_000;

/** The points of a line with one more, unless it is where the last one was. */
export function withPoint(points: readonly number[], x: number, y: number, pressure: number): readonly number[] {
  const last = points.length - EACH;
  if (last >= 0 && Math.hypot(points[last]! - x, points[last + 1]! - y) < NEAR) return points;
  return [...points, Math.round(x), Math.round(y), Math.round(pressure * 100)];
}

/** The lines that the eraser did not come near; it takes a line as a whole. */
export function eraseFrom(strokes: readonly Stroke[], eraser: readonly number[]): readonly Stroke[] {
  return strokes.filter((stroke) => !isNear(stroke.points, eraser));
}

function isNear(line: readonly number[], eraser: readonly number[]): boolean {
  for (let e = 0; e < eraser.length; e += EACH) {
    for (let i = 0; i < line.length; i += EACH) {
      const j = Math.min(i + EACH, line.length - EACH);
      if (distance(eraser[e]!, eraser[e + 1]!, line[i]!, line[i + 1]!, line[j]!, line[j + 1]!) < REACH) return true;
    }
  }
  return false;
}

/** From a point to a stretch of a line. */
function distance(x: number, y: number, x1: number, y1: number, x2: number, y2: number): number {
  const [dx, dy] = [x2 - x1, y2 - y1];
  const length = dx * dx + dy * dy;
  const along = length === 0 ? 0 : Math.max(0, Math.min(1, ((x - x1) * dx + (y - y1) * dy) / length));
  return Math.hypot(x - x1 - along * dx, y - y1 - along * dy);
}
