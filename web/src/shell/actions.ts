import { useLayoutEffect, useRef, useSyncExternalStore } from 'react';
import type { MessageKey } from '../text/text';

/**
 * Something a page can do by a key: its handler, its hint on a button and its line in the help are all made from this.
 */
export interface Action {
  /** As the browser names them; the first is shown. */
  keys: readonly string[];
  /** What the help says. */
  label: MessageKey;
  /** How the keys are shown, where their names are not enough. */
  shown?: string;
  /** Left out where the key is handled by what has the focus: then it is only told. */
  run?: (event: KeyboardEvent) => void;
}

/** Who has actions that can be taken now, in the order their parts of the page came. */
let here: readonly (() => readonly Action[])[] = [];
const listeners = new Set<() => void>();
const told = () => listeners.forEach((listener) => listener());
const listen = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/**
 * Registers actions while their part of the page is there: runs one when its key is pressed and no text is being typed.
 */
export function useActions(actions: readonly Action[], active = true) {
  const latest = useRef(actions);
  useLayoutEffect(() => {
    latest.current = actions;
  });
  // In a layout effect: what can be seen can be typed at, a key pressed at once is not lost.
  useLayoutEffect(() => {
    if (!active) return undefined;
    const mine = () => latest.current;
    here = [...here, mine];
    told();
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (isLetter(event.key) && !lettersOn()) return;
      const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
      const action = latest.current.find((a) => a.run && a.keys.includes(key));
      if (!action?.run) return;
      event.preventDefault();
      action.run(event);
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
      here = here.filter((own) => own !== mine);
      told();
    };
  }, [active]);
}

/** What can be done by a key on this page now. */
export const useActionsHere = () => useSyncExternalStore(listen, () => here).flatMap((own) => own());

const SETTING = 'bold.letterKeys';
const lettersOn = () => localStorage.getItem(SETTING) !== 'off';

/**
 * Whether single letters, digits and signs are keys here (WCAG 2.1.4): someone who speaks to their computer turns them
 * off.
 */
export function useLetterKeys(): [boolean, (on: boolean) => void] {
  const on = useSyncExternalStore(listen, lettersOn);
  const set = (next: boolean) => {
    if (next) localStorage.removeItem(SETTING);
    else localStorage.setItem(SETTING, 'off');
    told();
  };
  return [on, set];
}

/** True for a key that types a sign. */
export const isLetter = (key: string) => key.length === 1 && key !== ' ';

/** How an action's key is written on a button and in the help. */
export const shownKey = ({ keys, shown }: Action) =>
  shown ?? (keys[0]!.length === 1 ? keys[0]!.toUpperCase() : keys[0]!);

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}
