import type { ReactNode } from 'react';
import { text } from '../../text/text';

interface Props {
  options: readonly string[];
  answer: string;
  isRevealed: boolean;
  put: readonly string[];
  onPut: (what: readonly string[]) => void;
  /** What stands for an option; itself where nothing else does. */
  draw?: (option: string) => ReactNode;
}

/** Things to choose from: the right one is framed once it is touched or revealed, a wrong one steps back. */
export function OptionsShown({ options, answer, isRevealed, put, onPut, draw = (option) => option }: Props) {
  return (
    <span className="board-choose d-flex flex-wrap justify-content-center literacy board-options">
      {options.map((option) => {
        const isTried = put.includes(option);
        const isRight = option === answer;
        const state = isRight && (isTried || isRevealed) ? ' board-right' : isTried ? ' board-wrong' : '';
        return (
          <button
            key={option}
            type="button"
            className={`board-touch board-option bg-transparent text-reset${state}`}
            aria-pressed={isTried}
            onClick={() => onPut(isTried ? put.filter((p) => p !== option) : [...put, option])}
          >
            {draw(option)}
            {isTried && <span className="visually-hidden">{text(isRight ? 'board.right' : 'board.notThis')}</span>}
          </button>
        );
      })}
    </span>
  );
}
