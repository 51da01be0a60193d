import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { answered, client } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { base64Of } from '../shell/base64';
import { usePageTitle } from '../shell/usePageTitle';
import { styleQuery } from '../style/queries';
import { notesQuery } from '../ladder/queries';
import { soundText, text } from '../text/text';
import { play } from './play';
import { soundAt, voicesQuery, type Voice } from './queries';
import { NoMicrophone, record, type Running } from './record';
import { wavOf } from './sound';

type What = Pick<Voice, 'kind' | 'name'>;

/** The school's own voices: each sound and its key word, recorded, listened to, replaced, deleted. */
export function VoicesPage() {
  const { school } = useSchool();
  usePageTitle(text('voices.title'));
  const voices = useQuery(voicesQuery(school.id));
  const style = useQuery(styleQuery(school.id));
  const notes = useQuery(notesQuery(school.id));
  const queries = useQueryClient();
  const settle = { onSuccess: (now: Voice[]) => queries.setQueryData(voicesQuery(school.id).queryKey, now) };
  const path = { schoolId: school.id };
  const keep = useMutation({
    mutationFn: async ({ what, wav }: { what: What; wav: Blob }) =>
      answered(
        client.POST('/api/schools/{schoolId}/voices', {
          params: { path },
          body: { ...what, wav: await base64Of(wav) },
        }),
      ),
    ...settle,
  });
  const remove = useMutation({
    mutationFn: (voiceId: string) =>
      answered(client.DELETE('/api/schools/{schoolId}/voices/{voiceId}', { params: { path: { ...path, voiceId } } })),
    ...settle,
  });
  const [recording, setRecording] = useState<What | null>(null);
  const [quiet, setQuiet] = useState<'voices.noMicrophone' | 'voices.silence' | null>(null);
  const running = useRef<Running | null>(null);
  useEffect(() => () => running.current?.stop(), []);
  if (voices.isPending || style.isPending || notes.isPending) return <Loading />;
  if (!voices.data || !style.data || !notes.data)
    return <ErrorNote problem={(voices.error ?? style.error ?? notes.error)!} />;

  const start = async (what: What) => {
    setQuiet(null);
    running.current?.stop();
    try {
      const now = await record();
      running.current = now;
      setRecording(what);
      const sound = await now.done;
      if (sound) keep.mutate({ what, wav: new Blob([wavOf(sound)]) });
      else setQuiet('voices.silence');
    } catch (e) {
      if (!(e instanceof NoMicrophone)) throw e;
      setQuiet('voices.noMicrophone');
    } finally {
      setRecording(null);
    }
  };
  const listen = async (voice: Voice) => play([await (await fetch(soundAt(school.id, voice.id))).arrayBuffer()]);
  const changes = school.role === 'lead';
  const row = (what: What, label: string) => {
    const voice = voices.data.find((v) => v.kind === what.kind && v.name === what.name);
    const isRunning = recording?.kind === what.kind && recording.name === what.name;
    return (
      <span className="d-flex align-items-center gap-2 flex-wrap">
        <span className={`voice-name ${what.kind === 'key-word' ? 'literacy' : 'fw-bold'}`}>{label}</span>
        {changes && (
          <Button
            size="sm"
            variant={isRunning ? 'danger' : voice ? 'outline-secondary' : 'outline-primary'}
            disabled={recording !== null && !isRunning}
            aria-label={text(isRunning ? 'voices.stopOf' : voice ? 'voices.againOf' : 'voices.recordOf', {
              what: label,
            })}
            onClick={() => (isRunning ? running.current?.stop() : void start(what))}
          >
            {text(isRunning ? 'voices.stop' : voice ? 'voices.again' : 'voices.record')}
          </Button>
        )}
        {voice && (
          <Button
            size="sm"
            variant="outline-secondary"
            aria-label={text('voices.listenTo', { what: label })}
            onClick={() => void listen(voice)}
          >
            {text('voices.listen')}
          </Button>
        )}
        {voice && changes && (
          <Button
            size="sm"
            variant="link"
            aria-label={text('voices.deleteOf', { what: label })}
            onClick={() => remove.mutate(voice.id)}
          >
            {text('voices.delete')}
          </Button>
        )}
      </span>
    );
  };
  const ownWord = (symbol: string) =>
    notes.data.notes.find((n) => n.keyWord && n.subject.endsWith(`=${symbol}`))?.keyWord;
  const sounds = style.data.sounds;
  const done = voices.data.filter((v) => v.kind === 'sound').length;
  return (
    <>
      <h1>{text('voices.title')}</h1>
      <p>
        {text('voices.intro')} <Link to="/style">{text('voices.back')}</Link>
      </p>
      <p className="quiet">{text('voices.count', { done, total: sounds.length })}</p>
      {quiet && (
        <p className="flag-note py-2 px-3 rounded" role="alert">
          {text(quiet)}
        </p>
      )}
      {(keep.error ?? remove.error) && <ErrorNote problem={(keep.error ?? remove.error)!} />}
      <ul className="list-unstyled voices">
        {sounds.map((s) => (
          <li key={s.symbol} className="panel py-2 px-3">
            {row({ kind: 'sound', name: s.symbol }, soundText(s.symbol))}
            {row({ kind: 'key-word', name: ownWord(s.symbol) ?? s.keyWord }, ownWord(s.symbol) ?? s.keyWord)}
          </li>
        ))}
      </ul>
    </>
  );
}
