import { useRef, useState, type PointerEvent } from 'react';

export interface Dragged {
  what: string;
  x: number;
  y: number;
}

/** A finger that moved less than this has tapped. */
const A_TAP = 8;

/**
 * Dragging by mouse, pen and finger alike: what is dragged follows, and is dropped on whatever under it has a
 * data-drop. Moving hardly at all is a tap.
 */
export function useDrag({
  onDrop,
  onTap,
}: {
  onDrop: (what: string, on: string | null) => void;
  onTap: (what: string) => void;
}) {
  const [dragged, setDragged] = useState<Dragged | null>(null);
  const wasDragged = useRef(false);
  const from = useRef<{ what: string; x: number; y: number } | null>(null);
  const handlers = (what: string) => ({
    onPointerDown: (e: PointerEvent) => {
      if (e.button !== 0) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      wasDragged.current = false;
      from.current = { what, x: e.clientX, y: e.clientY };
    },
    onPointerMove: (e: PointerEvent) => {
      const start = from.current;
      if (!start || (!dragged && Math.hypot(e.clientX - start.x, e.clientY - start.y) < A_TAP)) return;
      wasDragged.current = true;
      setDragged({ what, x: e.clientX, y: e.clientY });
    },
    onPointerUp: (e: PointerEvent) => {
      const was = dragged;
      from.current = null;
      setDragged(null);
      if (!was) return;
      const under = document.elementsFromPoint(e.clientX, e.clientY).find((el) => el.closest('[data-drop]'));
      onDrop(what, under?.closest('[data-drop]')?.getAttribute('data-drop') ?? null);
    },
    onPointerCancel: () => {
      from.current = null;
      setDragged(null);
    },
    // A click comes of a tap, of a key, and of whoever speaks to their computer.
    onClick: () => {
      if (!wasDragged.current) onTap(what);
      wasDragged.current = false;
    },
  });
  return { dragged, handlers };
}
