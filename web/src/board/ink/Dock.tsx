import { useState } from 'react';
import { text, type MessageKey } from '../../text/text';
import type { BoardEvent, BoardState } from '../state';
import type { Tool } from './strokes';

interface Props {
  state: BoardState;
  tool: Tool | null;
  onTool: (tool: Tool | null) => void;
  happen: (event: BoardEvent) => void;
  way: BoardWay;
  onWay: (way: BoardWay) => void;
}

/** What a room needs: on which side the tools are, and whether the room is dark. */
export interface BoardWay {
  isLeft: boolean;
  isDark: boolean;
}

const ICONS: Record<string, string> = {
  pen: 'M4 20l1-5L16 4l4 4L9 19z',
  highlighter: 'M4 21h16M7 16l8-12 5 4-8 11H7z',
  eraser: 'M3 16L13 5l7 6-9 9H6zM9 9l7 7',
  undo: 'M9 5L4 10l5 5M4 10h10a6 6 0 010 12h-2',
  clear: 'M5 7h14M9 7V4h6v3M7 7l1 13h8l1-13',
  lines: 'M3 6h18M3 11h18M3 16h18',
  blank: 'M5 3h14v18H5z',
  dark: 'M19 14A8 8 0 1110 4a7 7 0 009 10z',
  side: 'M8 7l-5 5 5 5M16 7l5 5-5 5',
};

/** The tools at the edge of the board, behind one button: pen, highlighter, eraser, pages to write on, the room. */
export function Dock({ state, tool, onTool, happen, way, onWay }: Props) {
  const [isOpen, setOpen] = useState(false);
  const button = (icon: string, label: MessageKey, run: () => void, isOn?: boolean) => (
    <button
      key={icon}
      type="button"
      className="board-touch dock-button"
      title={text(label)}
      aria-label={text(label)}
      {...(isOn !== undefined && { 'aria-pressed': isOn })}
      onClick={run}
    >
      <Icon path={ICONS[icon]!} />
    </button>
  );
  const choose = (next: Tool) => onTool(tool === next ? null : next);
  return (
    <div
      className={`board-dock position-absolute d-flex flex-column${way.isLeft ? ' board-dock-left' : ''}`}
      role="toolbar"
      aria-label={text('dock.label')}
      aria-orientation="vertical"
    >
      {isOpen && (
        <>
          {button('side', 'dock.side', () => onWay({ ...way, isLeft: !way.isLeft }))}
          {button('dark', 'dock.dark', () => onWay({ ...way, isDark: !way.isDark }), way.isDark)}
          {button('blank', 'dock.blank', () => happen({ is: 'laid', sheet: 'blank' }), state.sheet === 'blank')}
          {button('lines', 'dock.lines', () => happen({ is: 'laid', sheet: 'lines' }), state.sheet === 'lines')}
          {button('clear', 'dock.clear', () => happen({ is: 'cleared' }))}
          {button('undo', 'dock.undo', () => happen({ is: 'undrew' }))}
          {(['eraser', 'highlighter', 'pen'] as const).map((t) => button(t, `dock.${t}`, () => choose(t), tool === t))}
        </>
      )}
      <button
        type="button"
        className={`board-touch dock-button dock-handle${tool ? ' dock-drawing' : ''}`}
        aria-expanded={isOpen}
        aria-label={text('dock.label')}
        title={text('dock.label')}
        onClick={() => {
          if (isOpen) onTool(null);
          setOpen(!isOpen);
        }}
      >
        <Icon path={ICONS[tool ?? 'pen']!} />
      </button>
    </div>
  );
}

const Icon = ({ path }: { path: string }) => (
  <svg viewBox="0 0 24 24" width="26" height="26" aria-hidden="true" className="dock-icon">
    <path d={path} />
  </svg>
);
