import { useLayoutEffect, useRef } from 'react';

/** Runs an action when its key is pressed and no text is being typed; keys with modifiers are left to the browser. */
export function useKeys(actions: Record<string, (event: KeyboardEvent) => void>, active = true) {
  const latest = useRef(actions);
  useLayoutEffect(() => {
    latest.current = actions;
  });
  // In a layout effect: what can be seen can be typed at, a key pressed at once is not lost.
  useLayoutEffect(() => {
    if (!active) return undefined;
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      const action = latest.current[event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!action) return;
      event.preventDefault();
      action(event);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [active]);
}

function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));
}
