import { useState } from 'react';
import type { BoardWay } from './ink/Dock';
import { storeHere } from './link';

const SETTING = 'bold.board';

/** On which side the tools are and whether the room is dark: kept for this device, not for a person. */
export function useBoardWay(): [BoardWay, (way: BoardWay) => void] {
  const [way, setWay] = useState<BoardWay>(read);
  const change = (next: BoardWay) => {
    setWay(next);
    try {
      storeHere()?.setItem(SETTING, JSON.stringify(next));
    } catch {
      // Then it lasts as long as the page.
    }
  };
  return [way, change];
}

function read(): BoardWay {
  try {
    const kept = JSON.parse(storeHere()?.getItem(SETTING) ?? '{}') as Partial<BoardWay> | null;
    return { isLeft: kept?.isLeft === true, isDark: kept?.isDark === true };
  } catch {
    return { isLeft: false, isDark: false };
  }
}
