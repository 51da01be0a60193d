import { useQuery } from '@tanstack/react-query';
import { Button, ButtonGroup, Form } from 'react-bootstrap';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { labelText, text, textOf } from '../text/text';
import { Choice } from './Choice';
import { useChoices } from './choices';
import { PaperSheetPage } from './PaperSheetPage';
import { sheetQuery, sheetsQuery, wallQuery, type About, type Day, type SheetKind, type SheetLevel } from './queries';
import { LeftOutNote, TypedWords } from './TypedWords';

const LEVELS = ['same', 'easier', 'harder'] as const;
const ABOUT = ['day', 'week', 'rung', 'words'] as const;

/** Sheets of paper: of what, which, how hard, with their answers. */
export function SheetsTab({ day }: { day: Day }) {
  const { params, choose, oneOf } = useChoices();
  const about = oneOf('about', ABOUT);
  const rung = params.get('rung') ?? '';
  const words = params.get('words') ?? '';
  const wanted: About =
    about === 'week'
      ? { span: 'week' }
      : about === 'rung' && rung
        ? { rung }
        : about === 'words' && words
          ? { words }
          : {};
  const sheets = useQuery(sheetsQuery(day, wanted));
  const kinds = sheets.data?.kinds ?? [];
  const kind = kinds.find((k) => k === params.get('sheet')) ?? kinds[0];
  const level = oneOf('level', LEVELS);
  const seed = Number(params.get('seed') ?? 0);
  const hasAnswers = kind !== undefined && !sheets.data?.withoutAnswers.includes(kind);
  const answers = params.has('answers') && hasAnswers;
  return (
    <>
      <div className="no-print d-flex flex-wrap align-items-end gap-3 mb-3">
        <Choice
          id="sheet-about"
          label={text('paper.about')}
          value={about}
          options={ABOUT}
          name={(a) => textOf('paperAbout', a)}
          onChoose={(a) => choose({ about: a === 'day' ? null : a, seed: null })}
        />
        {about === 'rung' && <RungChoice day={day} rung={rung} onRung={(r) => choose({ rung: r, seed: null })} />}
        {kind && (
          <>
            <Choice
              id="sheet-kind"
              label={text('paper.which')}
              value={kind}
              options={kinds}
              name={(k) => textOf('sheet', k)}
              onChoose={(k) => choose({ sheet: k, seed: null })}
            />
            <ButtonGroup aria-label={text('paper.level')}>
              {(['easier', 'same', 'harder'] as const).map((l) => (
                <Button
                  key={l}
                  variant={l === level ? 'primary' : 'outline-primary'}
                  aria-pressed={l === level}
                  onClick={() => choose({ level: l })}
                >
                  {textOf('sheetLevel', l)}
                </Button>
              ))}
            </ButtonGroup>
            <Form.Check
              type="switch"
              id="sheet-answers"
              label={text('paper.answers')}
              checked={answers}
              disabled={!hasAnswers}
              onChange={(e) => choose({ answers: e.target.checked ? '1' : null })}
            />
            <Button variant="outline-secondary" onClick={() => choose({ seed: String(seed + 1) })}>
              {text('paper.others')}
            </Button>
            <Button onClick={() => window.print()}>{text('gather.print')}</Button>
            <a className="btn btn-link" href={fileOf(day, wanted, kind, level, seed)} download>
              {text('paper.word')}
            </a>
          </>
        )}
      </div>
      {about === 'words' && <TypedWords words={words} onWords={(w) => choose({ words: w, seed: null })} />}
      {sheets.error && <ErrorNote problem={sheets.error} retry={() => void sheets.refetch()} />}
      {sheets.data && <LeftOutNote leftOut={sheets.data.leftOut} />}
      {sheets.isPending ? (
        <Loading />
      ) : kind === undefined ? (
        !sheets.error && <p>{text('paper.none')}</p>
      ) : (
        <Sheet {...{ day, kind, level, seed, answers }} about={wanted} groupName={sheets.data!.groupName} />
      )}
    </>
  );
}

/** The same sheet as a file for a word processor. */
function fileOf(day: Day, about: About, kind: SheetKind, level: SheetLevel, seed: number) {
  const query = new URLSearchParams({ kind, level, seed: String(seed), ...about });
  return `/api/schools/${day.schoolId}/groups/${day.groupId}/files/${day.date}/sheet.docx?${query.toString()}`;
}

/** The rungs of the group's ladder. */
function RungChoice({ day, rung, onRung }: { day: Day; rung: string; onRung: (rung: string) => void }) {
  const wall = useQuery(wallQuery(day));
  const rungs = wall.data?.rungs ?? [];
  return (
    <Choice
      id="sheet-rung"
      label={text('paper.rung')}
      value={rung}
      options={rung ? rungs.map((r) => r.id) : ['', ...rungs.map((r) => r.id)]}
      name={(id) => {
        const at = rungs.findIndex((r) => r.id === id);
        return at < 0 ? text('paper.chooseRung') : `${at + 1} · ${labelText(rungs[at]!.label)}`;
      }}
      onChoose={onRung}
    />
  );
}

interface SheetProps {
  day: Day;
  about: About;
  kind: SheetKind;
  level: SheetLevel;
  seed: number;
  answers: boolean;
  groupName: string;
}

function Sheet({ day, about, kind, level, seed, answers, groupName }: SheetProps) {
  const { school } = useSchool();
  const sheet = useQuery(sheetQuery({ ...day, schoolId: school.id }, about, kind, level, seed));
  if (sheet.isPending) return <Loading />;
  if (sheet.error) return <ErrorNote problem={sheet.error} />;
  return <PaperSheetPage sheet={sheet.data} answers={answers} groupName={groupName} date={day.date} />;
}
