import { useQuery } from '@tanstack/react-query';
import { Button, ButtonGroup, Form } from 'react-bootstrap';
import { Link, useParams, useSearchParams } from 'react-router';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, labelText, text, textOf } from '../text/text';
import { PaperSheetShown } from './PaperSheetShown';
import { sheetQuery, sheetsQuery, type SheetKind, type SheetLevel } from './queries';

const LEVELS = ['easier', 'same', 'harder'] as const;

/** Sheets of paper for a day: which, how hard, with their answers, and printed. */
export function SheetsPage() {
  const { school } = useSchool();
  const { groupId = '', date = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const sheets = useQuery(sheetsQuery(school.id, groupId, date));
  usePageTitle(text('paper.title'));
  if (sheets.isPending) return <Loading />;
  if (sheets.error) return <ErrorNote problem={sheets.error} retry={() => void sheets.refetch()} />;
  const { groupName, rungLabel, kinds } = sheets.data;
  const kind = kinds.find((k) => k === params.get('sheet')) ?? kinds[0];
  const level = LEVELS.find((l) => l === params.get('level')) ?? 'same';
  const seed = Number(params.get('seed') ?? 0);
  const answers = params.has('answers');
  const choose = (change: Record<string, string | null>) => {
    const next = new URLSearchParams(params);
    for (const [key, value] of Object.entries(change)) {
      if (value === null) next.delete(key);
      else next.set(key, value);
    }
    setParams(next, { replace: true });
  };
  return (
    <>
      <div className="no-print d-lg-flex justify-content-between align-items-end gap-4 mb-3">
        <div>
          <h1>{text('paper.title')}</h1>
          <p className="quiet mb-0">
            {groupName} · {dayText(date)} · <span className="literacy">{labelText(rungLabel)}</span>
          </p>
        </div>
        <Link to={`/groups/${groupId}/lessons/${date}`}>← {text('gather.back')}</Link>
      </div>
      {kind === undefined ? (
        <p>{text('paper.none')}</p>
      ) : (
        <>
          <div className="no-print d-flex flex-wrap align-items-end gap-3 mb-3">
            <Form.Group controlId="sheet-kind">
              <Form.Label className="quiet mb-1">{text('paper.which')}</Form.Label>
              <Form.Select value={kind} onChange={(e) => choose({ sheet: e.target.value, seed: null })}>
                {kinds.map((k) => (
                  <option key={k} value={k}>
                    {textOf('sheet', k)}
                  </option>
                ))}
              </Form.Select>
            </Form.Group>
            <ButtonGroup aria-label={text('paper.level')}>
              {LEVELS.map((l) => (
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
              onChange={(e) => choose({ answers: e.target.checked ? '1' : null })}
            />
            <Button variant="outline-secondary" onClick={() => choose({ seed: String(seed + 1) })}>
              {text('paper.others')}
            </Button>
            <Button onClick={() => window.print()}>{text('gather.print')}</Button>
          </div>
          <Sheet {...{ groupId, date, kind, level, seed, answers, groupName }} />
        </>
      )}
    </>
  );
}

interface SheetProps {
  groupId: string;
  groupName: string;
  date: string;
  kind: SheetKind;
  level: SheetLevel;
  seed: number;
  answers: boolean;
}

/** One sheet, with a line for who writes on it. */
function Sheet({ groupId, groupName, date, kind, level, seed, answers }: SheetProps) {
  const { school } = useSchool();
  const sheet = useQuery(sheetQuery(school.id, groupId, date, kind, level, seed));
  if (sheet.isPending) return <Loading />;
  if (sheet.error) return <ErrorNote problem={sheet.error} />;
  return (
    <div className={`paper paper-on-${school.paperSize.toLowerCase()}`}>
      <header>
        <strong>{textOf('sheet', kind)}</strong>
        {answers ? <span>{text('paper.answers')}</span> : <span className="paper-name">{text('paper.name')}</span>}
      </header>
      <p className="paper-say">{textOf('sheetSay', kind)}</p>
      <PaperSheetShown sheet={sheet.data} answers={answers} />
      <footer>{text('print.footer', { group: groupName, date: dayText(date) })}</footer>
    </div>
  );
}
