import { dayText, text, textOf } from '../text/text';
import { PaperSheetShown } from './PaperSheetShown';
import type { PaperSheet } from './queries';

interface Props {
  sheet: PaperSheet;
  answers: boolean;
  groupName: string;
  date: string;
}

/** One sheet on a page of its own, with a line for who writes on it. */
export function PaperSheetPage({ sheet, answers, groupName, date }: Props) {
  return (
    <article className="paper" aria-label={textOf('sheet', sheet.kind)}>
      <header>
        <h2>{textOf('sheet', sheet.kind)}</h2>
        {answers ? <span>{text('paper.answers')}</span> : <span className="paper-name">{text('paper.name')}</span>}
      </header>
      <p className="paper-say">
        <span className="paper-adult">{text('paper.adult')}</span>
        {textOf('sheetSay', sheet.kind)}
      </p>
      <div className="paper-body">
        <PaperSheetShown sheet={sheet} answers={answers} />
      </div>
      <footer>{text('print.footer', { group: groupName, date: dayText(date) })}</footer>
    </article>
  );
}
