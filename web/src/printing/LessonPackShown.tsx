import { CardSides } from './CardSides';
import { PaperSheetPage } from './PaperSheetPage';
import type { LessonPack } from './queries';

interface Props {
  pack: LessonPack;
  paper: string;
  groupName: string;
  date: string;
  /** With the answers of each sheet after it. */
  answers?: boolean;
}

/** The sheets and the cards of a lesson. */
export function LessonPackShown({ pack, paper, groupName, date, answers = false }: Props) {
  return (
    <>
      {pack.sheets.map((sheet) => (
        <div key={sheet.kind + sheet.items[0]!.id}>
          <PaperSheetPage sheet={sheet} answers={false} groupName={groupName} date={date} />
          {answers && sheet.hasAnswers && <PaperSheetPage sheet={sheet} answers groupName={groupName} date={date} />}
        </div>
      ))}
      <CardSides cards={pack.cards} sides={pack.sides} grid={pack.grid} paper={paper} />
    </>
  );
}
