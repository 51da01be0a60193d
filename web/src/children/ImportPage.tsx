import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form, Nav } from 'react-bootstrap';
import { Link } from 'react-router';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { groupsQuery } from '../groups/queries';
import { jobsQuery } from '../jobs/queries';
import { useSchool } from '../session/session';
import { base64Of } from '../shell/base64';
import { FileChoice } from '../shell/FileChoice';
import { ErrorNote } from '../shell/ErrorNote';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { ImportColumns } from './ImportColumns';
import { countsOf, type Choice } from './importing';
import { ImportLines } from './ImportLines';

type File = Schemas['ChildFile'];

/** Takes children in: from a pasted column of names, or a file of any columns. Nothing happens before it is seen. */
export function ImportPage() {
  const { school } = useSchool();
  const queries = useQueryClient();
  const groups = useQuery(groupsQuery(school.id)).data ?? [];
  const jobs = useQuery(jobsQuery(school.id));
  const [isList, setIsList] = useState(true);
  const [names, setNames] = useState('');
  const [groupId, setGroupId] = useState('');
  const [content, setContent] = useState<Blob | null>(null);
  const [file, setFile] = useState<File | null>(null);
  const [chosen, setChosen] = useState<ReadonlyMap<number, Choice>>(new Map());
  const [job, setJob] = useState<string | null>(null);
  usePageTitle(text('import.title'));
  const params = { path: { schoolId: school.id } };
  const look = useMutation({
    mutationFn: async (asked: File) => {
      const preview = await answered(
        client.POST('/api/schools/{schoolId}/children/imports/look', { params, body: asked }),
      );
      setFile({ ...asked, columns: preview.columns, groups: preview.groups });
      setChosen(new Map());
      return preview;
    },
  });
  const takeIn = useMutation({
    mutationFn: (asked: File) =>
      answered(
        client.POST('/api/schools/{schoolId}/children/imports', {
          params,
          body: {
            id: crypto.randomUUID(),
            file: asked,
            choices: [...chosen].map(([line, choice]) => ({ line, choice })),
          },
        }),
      ),
    onSuccess: (started) => {
      setJob(started.id);
      void nowStale(queries, school.id, 'jobs');
    },
  });
  const source = isList ? (names.trim() === '' ? null : new Blob([names])) : content;
  const first = async () => {
    if (source)
      look.mutate({ content: await base64Of(source), isList, columns: null, groupId: groupId || null, groups: [] });
  };
  const anew = () => {
    look.reset();
    takeIn.reset();
    setFile(null);
    setJob(null);
  };
  const started = jobs.data?.find((j) => j.id === job);
  const preview = file && look.data;
  const counts = preview ? countsOf(preview.lines, chosen) : null;

  if (job !== null)
    return (
      <>
        <h1>{text('import.title')}</h1>
        {started?.endedAt && (
          <div className="d-flex gap-2 mt-3">
            <Link className="btn btn-primary" to="/children">
              {text('import.back')}
            </Link>
            <Button
              variant="outline-primary"
              onClick={() => {
                anew();
                setNames('');
                setContent(null);
              }}
            >
              {text('import.another')}
            </Button>
          </div>
        )}
      </>
    );
  return (
    <>
      <h1>{text('import.title')}</h1>
      <p className="quiet">{text('import.intro')}</p>
      <Form
        className="panel mb-3"
        onSubmit={(e) => {
          e.preventDefault();
          void first();
        }}
      >
        <Nav
          variant="underline"
          className="mb-3"
          activeKey={isList ? 'paste' : 'file'}
          onSelect={(key) => {
            setIsList(key === 'paste');
            anew();
          }}
        >
          {(['paste', 'file'] as const).map((key) => (
            <Nav.Item key={key}>
              <Nav.Link as="button" type="button" eventKey={key}>
                {text(`import.${key}`)}
              </Nav.Link>
            </Nav.Item>
          ))}
        </Nav>
        {isList ? (
          <Form.Group controlId="import-names" className="mb-3">
            <Form.Label>{text('import.names')}</Form.Label>
            <Form.Control
              as="textarea"
              rows={preview ? 4 : 9}
              value={names}
              onChange={(e) => {
                setNames(e.target.value);
                anew();
              }}
            />
            <Form.Text>{text('import.namesHelp')}</Form.Text>
          </Form.Group>
        ) : (
          <FileChoice
            id="import-file"
            label={text('import.choose')}
            accept=".csv,.tsv,.txt,.zip"
            help={text('import.chooseHelp')}
            onFile={(chosenFile) => {
              setContent(chosenFile);
              anew();
            }}
          />
        )}
        <div className="d-flex flex-wrap align-items-end gap-3">
          <Form.Group controlId="import-group">
            <Form.Label>{text(isList ? 'import.intoAll' : 'import.into')}</Form.Label>
            <Form.Select
              value={groupId}
              onChange={(e) => {
                setGroupId(e.target.value);
                if (file) look.mutate({ ...file, groupId: e.target.value || null });
              }}
            >
              <option value="">{text('children.noGroup')}</option>
              {groups.map((g) => (
                <option key={g.id} value={g.id}>
                  {g.name}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
          {!preview && (
            <Button type="submit" disabled={!source || look.isPending}>
              {text('import.look')}
            </Button>
          )}
        </div>
        {look.error && <ErrorNote problem={look.error} />}
      </Form>
      {preview && (
        <>
          <ImportColumns
            preview={preview}
            groups={groups}
            onColumns={(columns) => look.mutate({ ...file, columns, groups: [] })}
            onGroups={(meant) => look.mutate({ ...file, groups: meant })}
          />
          <ImportLines
            lines={preview.lines}
            groups={groups}
            chosen={chosen}
            onChoose={(line, choice) => setChosen(new Map(chosen).set(line, choice))}
          />
          <div className="d-flex flex-wrap align-items-center gap-3 save-bar bg-white border-top p-3 sticky-bottom">
            <Button
              size="lg"
              disabled={takeIn.isPending || counts!.add + counts!.move === 0}
              onClick={() => takeIn.mutate(file)}
            >
              {text('import.do')}
            </Button>
            <span>{counts!.add + counts!.move === 0 ? text('import.nobody') : text('import.counts', counts!)}</span>
            {takeIn.error && <ErrorNote problem={takeIn.error} />}
          </div>
        </>
      )}
    </>
  );
}
