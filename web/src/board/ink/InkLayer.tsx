import { getStroke } from 'perfect-freehand';
import { useEffect, useRef, useState, type PointerEvent } from 'react';
import type { BoardEvent } from '../state';
import { eraseFrom, SCALE, withPoint, type Stroke, type Tool } from './strokes';

interface Props {
  strokes: readonly Stroke[];
  /** What draws now; null where nothing does, and what lies below can be touched. */
  tool: Tool | null;
  happen: (event: BoardEvent) => void;
}

/** As shares of the board's height. */
const PEN = 0.011;
const HIGHLIGHTER = 0.06;

/** The eraser of a pen that has one at its other end. */
const OTHER_END = 32;

/** What is drawn over the board, and the hand that draws. */
export function InkLayer({ strokes, tool, happen }: Props) {
  const layer = useRef<SVGSVGElement>(null);
  const size = useSize(layer);
  const [drawing, setDrawing] = useState<Stroke | null>(null);
  const pointAt = (e: PointerEvent) => {
    const box = layer.current!.getBoundingClientRect();
    return [
      ((e.clientX - box.left) / box.width) * SCALE,
      ((e.clientY - box.top) / box.height) * SCALE,
      // A mouse and most fingers tell no pressure: then it is what the browser gives for held down.
      e.pointerType === 'pen' ? e.pressure : 0.5,
    ] as const;
  };
  const erases = (e: PointerEvent) => tool === 'eraser' || (e.buttons & OTHER_END) !== 0;
  const erase = (e: PointerEvent) => {
    const from = withPoint([], ...pointAt(e));
    if (eraseFrom(strokes, from).length < strokes.length) happen({ is: 'erased', from });
  };
  const start = (e: PointerEvent) => {
    e.currentTarget.setPointerCapture(e.pointerId);
    if (erases(e)) return erase(e);
    setDrawing({ tool: tool === 'highlighter' ? 'highlighter' : 'pen', points: withPoint([], ...pointAt(e)) });
  };
  const move = (e: PointerEvent) => {
    if (e.buttons === 0) return;
    if (erases(e)) erase(e);
    else if (drawing) setDrawing({ ...drawing, points: withPoint(drawing.points, ...pointAt(e)) });
  };
  const end = () => {
    if (drawing) happen({ is: 'drew', stroke: drawing });
    setDrawing(null);
  };
  return (
    <svg
      ref={layer}
      className={`board-ink position-absolute${tool ? ` board-ink-${tool}` : ''}`}
      aria-hidden="true"
      {...(tool && { onPointerDown: start, onPointerMove: move, onPointerUp: end, onPointerCancel: end })}
    >
      {size && [...strokes, ...(drawing ? [drawing] : [])].map((s, i) => <Line key={i} stroke={s} size={size} />)}
    </svg>
  );
}

function Line({ stroke, size }: { stroke: Stroke; size: { width: number; height: number } }) {
  const points: [number, number, number][] = [];
  for (let i = 0; i < stroke.points.length; i += 3)
    points.push([
      (stroke.points[i]! / SCALE) * size.width,
      (stroke.points[i + 1]! / SCALE) * size.height,
      stroke.points[i + 2]! / 100,
    ]);
  if (stroke.tool === 'highlighter')
    return (
      <polyline
        className="ink-highlighter"
        points={[...points, ...points.slice(-1)].map(([x, y]) => `${x},${y}`).join(' ')}
        strokeWidth={HIGHLIGHTER * size.height}
      />
    );
  const outline = getStroke(points, { size: PEN * size.height, thinning: 0.5, simulatePressure: false });
  return <path className="ink-pen" d={`M${outline.map(([x, y]) => `${x!.toFixed(1)} ${y!.toFixed(1)}`).join('L')}Z`} />;
}

/** How large the layer is on this screen; null before it is known. */
function useSize(layer: React.RefObject<SVGSVGElement | null>) {
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  useEffect(() => {
    const watched = new ResizeObserver(([entry]) => entry && setSize(entry.contentRect));
    watched.observe(layer.current!);
    return () => watched.disconnect();
  }, [layer]);
  return size;
}
