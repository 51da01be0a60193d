import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useNavigate, useParams } from 'react-router';
import { answered, client } from '../api/client';
import { groupsQuery } from '../groups/queries';
import { useSchool } from '../session/session';
import { base64Of } from '../shell/base64';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { useUnsaved } from '../shell/useUnsaved';
import { text } from '../text/text';
import { ChosenWord } from './ChosenWord';
import { Editor } from './Editor';
import { Findings } from './Findings';
import { LevelChoice } from './LevelChoice';
import { exchanged, parts, partWith, pieces } from './marks';
import { checkQuery, ownTextQuery, type Level, type OwnText } from './queries';
import { SaveText } from './SaveText';
import { TextsNav } from './TextsNav';
import { WriteWith } from './WriteWith';

const PAUSE = 120;

/** A long text is shown in parts of about so many signs. */
const PART = 6_000;

/** A text to check, reword or write: new, or one of the school's own. */
export function CheckPage() {
  const { school } = useSchool();
  const { textId = '' } = useParams();
  const kept = useQuery(ownTextQuery(school.id, textId));
  const groups = useQuery(groupsQuery(school.id));
  usePageTitle(text('texts.page'));
  if (groups.isPending || (textId !== '' && kept.isPending)) return <Loading />;
  if (kept.error) return <ErrorNote problem={kept.error} retry={() => void kept.refetch()} />;
  const first = groups.data?.[0];
  return (
    <>
      <TextsNav />
      <Desk
        key={textId}
        kept={textId === '' ? null : (kept.data ?? null)}
        usual={first ? { groupId: first.id } : { own: '' }}
      />
    </>
  );
}

function Desk({ kept, usual }: { kept: OwnText | null; usual: Level }) {
  const { school } = useSchool();
  const navigate = useNavigate();
  const [body, setBody] = useState(kept?.body ?? '');
  const [level, setLevel] = useState<Level>(usual);
  const [told, setTold] = useState<readonly string[]>(kept?.told ?? []);
  const [first, setFirst] = useState<readonly string[]>(kept?.firstWords ?? []);
  const [namesTold, setNamesTold] = useState(false);
  const [bar, setBar] = useState(100);
  const [trickyMost, setTrickyMost] = useState(6);
  const [before, setBefore] = useState(kept?.before ?? '');
  const [caret, setCaret] = useState<number | null>(null);
  const [chosenAt, setChosenAt] = useState<number | null>(null);
  const [page, setPage] = useState(0);
  const [undo, setUndo] = useState<readonly string[]>([]);
  const [saved, setSaved] = useState(kept?.body ?? '');
  useUnsaved(body !== saved);

  const settled = useSettled(body, PAUSE);
  const asked = { level, told: [...told], namesTold, firstWords: [...first], bar };
  const check = useQuery(checkQuery(school.id, { ...asked, text: settled }));
  const view = check.data?.view;
  const isLong = view !== undefined && view.places.length === 0 && view.words.length > 0;
  const all = isLong ? parts(body, PART) : [{ start: 0, text: body }];
  const part = all[Math.min(page, all.length - 1)]!;
  const partSettled = useSettled(part.text, PAUSE);
  const partCheck = useQuery({ ...checkQuery(school.id, { ...asked, text: partSettled }), enabled: isLong });
  // The words that are shown, as they were checked: of a long text those of the part.
  const checked = isLong ? partCheck.data : check.data;
  const marked = checked ? pieces(part.text, checked.asked.text, checked.view.places) : [];
  const chosen = marked.find((p) => part.start + p.start === chosenAt && p.word !== null) ?? null;
  const go = (to: number) => {
    setPage(to);
    setChosenAt(null);
    setCaret(all[to]!.start);
  };
  const choose = (word: number) => {
    const name = view!.words[word]!.text;
    const to = isLong ? partWith(all, name) : 0;
    setPage(to);
    if (!isLong) setChosenAt(marked.find((p) => p.word === word)?.start ?? null);
    else setChosenAt(all[to]!.start + Math.max(0, all[to]!.text.indexOf(name)));
  };

  const rewrite = (start: number, length: number, by: string) => {
    if (before === '') setBefore(body);
    setUndo([...undo, body]);
    setBody(exchanged(body, start, length, by));
    setChosenAt(by.includes(' ') ? null : start);
  };
  const insert = (words: string) => {
    const at = caret ?? body.length;
    const space = at > 0 && !/\s$/.test(body.slice(0, at)) ? ' ' : '';
    setUndo([...undo, body]);
    setBody(exchanged(body, at, 0, space + words));
    setCaret(at + space.length + words.length);
  };
  const open = useMutation({
    mutationFn: async (file: Blob) =>
      answered(
        client.POST('/api/schools/{schoolId}/texts/file', {
          params: { path: { schoolId: school.id } },
          body: { content: await base64Of(file) },
        }),
      ),
    onSuccess: (read) => {
      setBody(read.text);
      setBefore('');
      setChosenAt(null);
    },
  });
  const change = <T extends string>(list: readonly T[], one: T, there: boolean) =>
    there ? [...list.filter((w) => w !== one), one] : list.filter((w) => w !== one);

  return (
    <>
      <div className="d-flex flex-wrap gap-3 align-items-end mb-3">
        <LevelChoice level={level} onChange={setLevel} />
        <Form.Group controlId="text-bar">
          <Form.Label className="quiet mb-1">{text('texts.bar')}</Form.Label>
          <Form.Select value={bar} onChange={(e) => setBar(Number(e.target.value))}>
            {[100, 98, 95, 90, 80].map((b) => (
              <option key={b} value={b}>
                {text('texts.percent', { share: b })}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Check
          id="text-names"
          className="mb-2"
          label={text('texts.namesTold')}
          checked={namesTold}
          onChange={(e) => setNamesTold(e.target.checked)}
        />
      </div>
      <div className="text-desk">
        <div className="d-grid gap-3 align-content-start">
          {isLong && (
            <nav className="d-flex flex-wrap gap-2 align-items-center" aria-label={text('texts.parts')}>
              <Button size="sm" variant="outline-primary" disabled={page === 0} onClick={() => go(page - 1)}>
                {text('texts.partBefore')}
              </Button>
              <span>
                {text('texts.part', {
                  part: Math.min(page, all.length - 1) + 1,
                  parts: all.length,
                  words: view.counts.reduce((s, c) => s + c.running, 0),
                })}
              </span>
              <Button
                size="sm"
                variant="outline-primary"
                disabled={page >= all.length - 1}
                onClick={() => go(page + 1)}
              >
                {text('texts.partAfter')}
              </Button>
            </nav>
          )}
          <Editor
            value={part.text}
            pieces={marked.length > 0 ? marked : [{ text: part.text, start: 0, word: null }]}
            words={checked?.view.words ?? []}
            chosen={chosenAt === null ? null : chosenAt - part.start}
            onChange={(value) => setBody(exchanged(body, part.start, part.text.length, value))}
            onChoose={(piece, at) => {
              setChosenAt(piece ? part.start + piece.start : null);
              setCaret(part.start + at);
            }}
          />
          <div className="d-flex flex-wrap gap-2 align-items-center no-print">
            <Form.Group controlId="text-file" className="d-flex flex-wrap align-items-center gap-2 mw-100">
              <Form.Label className="m-0">{text('texts.openFile')}</Form.Label>
              <Form.Control
                type="file"
                size="sm"
                className="w-auto mw-100"
                accept=".txt,.docx,.odt,.epub"
                onChange={(e) => {
                  const file = (e.target as HTMLInputElement).files?.[0];
                  if (file) open.mutate(file);
                }}
              />
            </Form.Group>
            {undo.length > 0 && (
              <Button
                size="sm"
                variant="outline-secondary"
                onClick={() => {
                  setBody(undo.at(-1)!);
                  setUndo(undo.slice(0, -1));
                }}
              >
                {text('texts.undo')}
              </Button>
            )}
            {before !== '' && before !== body && (
              <Button size="sm" variant="outline-secondary" onClick={() => setBody(before)}>
                {text('texts.asBefore')}
              </Button>
            )}
            {body !== '' && (
              <Button size="sm" variant="outline-secondary" onClick={() => setBody('')}>
                {text('texts.clear')}
              </Button>
            )}
            <span className="quiet small">{text('texts.notKept')}</span>
          </div>
          {open.error && <ErrorNote problem={open.error} />}
          {check.error && <ErrorNote problem={check.error} />}
          <WriteWith
            level={level}
            hasToday={level.own === undefined}
            trickyMost={trickyMost}
            onTrickyMost={setTrickyMost}
            onInsert={insert}
          />
          {!isLong && school.role !== 'helper' && school.role !== 'head' && (
            <SaveText
              kept={kept}
              body={body}
              first={first}
              told={told}
              before={before}
              onSaved={(text) => {
                setSaved(text.body);
                if (!kept) void navigate(`/texts/own/${text.id}`);
              }}
            />
          )}
        </div>
        <div className="d-grid gap-3 align-content-start">
          {chosen && checked?.view.words[chosen.word!] && (
            <ChosenWord
              body={part.text}
              level={level}
              first={first}
              piece={chosen}
              word={checked.view.words[chosen.word!]!}
              onRewrite={(start, length, by) => rewrite(part.start + start, length, by)}
              onTold={(word, is) => setTold(change(told, word, is))}
              onFirst={(word, is) => setFirst(change(first, word, is))}
            />
          )}
          {view && (
            <Findings
              view={view}
              bar={bar}
              trickyMost={trickyMost}
              onChooseWord={choose}
              onFirst={(words) => setFirst([...new Set([...first, ...words])])}
            />
          )}
          {first.length > 0 && (
            <p className="panel mb-0">
              {text('texts.firstList')} <strong className="literacy">{first.join(', ')}</strong>
            </p>
          )}
        </div>
      </div>
    </>
  );
}

/** A value once it has stood still for so many milliseconds. */
function useSettled<T>(value: T, pause: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const waiting = setTimeout(() => setSettled(value), pause);
    return () => clearTimeout(waiting);
  }, [value, pause]);
  return settled;
}
