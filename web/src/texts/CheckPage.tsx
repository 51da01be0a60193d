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
import { exchanged, pieces } from './marks';
import { checkQuery, ownTextQuery, type Level, type OwnText } from './queries';
import { SaveText } from './SaveText';
import { TextsNav } from './TextsNav';
import { WriteWith } from './WriteWith';

const PAUSE = 120;

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
  const [undo, setUndo] = useState<readonly string[]>([]);
  const [saved, setSaved] = useState(kept?.body ?? '');
  useUnsaved(body !== saved);

  const settled = useSettled(body, PAUSE);
  const check = useQuery(
    checkQuery(school.id, { text: settled, level, told: [...told], namesTold, firstWords: [...first], bar }),
  );
  const checked = check.data;
  const view = checked?.view;
  const marked = checked ? pieces(body, checked.asked.text, checked.view.places) : [];
  const isLong = view !== undefined && view.places.length === 0 && view.words.length > 0;
  const chosen = marked.find((p) => p.start === chosenAt && p.word !== null) ?? null;

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
          {isLong ? (
            <p className="panel mb-0">
              {text('texts.long', { words: view.counts.reduce((s, c) => s + c.running, 0) })}
            </p>
          ) : (
            <Editor
              value={body}
              pieces={marked.length > 0 ? marked : [{ text: body, start: 0, word: null }]}
              words={view?.words ?? []}
              chosen={chosenAt}
              onChange={setBody}
              onChoose={(piece, at) => {
                setChosenAt(piece?.start ?? null);
                setCaret(at);
              }}
            />
          )}
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
          {!isLong && (
            <WriteWith
              level={level}
              hasToday={level.own === undefined}
              trickyMost={trickyMost}
              onTrickyMost={setTrickyMost}
              onInsert={insert}
            />
          )}
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
          {chosen && view?.words[chosen.word!] && (
            <ChosenWord
              body={body}
              level={level}
              first={first}
              piece={chosen}
              word={view.words[chosen.word!]!}
              onRewrite={rewrite}
              onTold={(word, is) => setTold(change(told, word, is))}
              onFirst={(word, is) => setFirst(change(first, word, is))}
            />
          )}
          {view && (
            <Findings
              view={view}
              bar={bar}
              trickyMost={trickyMost}
              onChooseWord={(word) => setChosenAt(marked.find((p) => p.word === word)?.start ?? null)}
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
