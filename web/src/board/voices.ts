import { useEffect, useRef, useState } from 'react';
import { answered, client } from '../api/client';
import { cueText } from '../lesson/said';
import type { LessonView } from '../lesson/kinds';
import { saysText, soundText } from '../text/text';
import { play } from '../voices/play';
import { soundAt } from '../voices/queries';
import type { Slide } from './slides';

/** How long what stands in for a recording is shown, in milliseconds. */
const A_LOOK = 6000;

/** What is said of a slide: sounds, then a key word; how it is said where nothing is recorded. */
interface Said {
  sounds: readonly string[];
  keyWord: string | null;
  cue: string;
}

/** What is said of a slide; null where nothing on it is said so. */
export function saidOf({ item }: Pick<Slide, 'item'>): Said | null {
  switch (item?.$type) {
    case 'card':
      return { sounds: item.sounds.split('+'), keyWord: item.keyWord, cue: cueText(item, 'mouth-cue') };
    case 'spellings':
      return { sounds: item.sounds.split('+'), keyWord: item.keyWord, cue: saysText(item.sounds, item.keyWord) };
    case 'chunk':
      return { sounds: item.sounds.split('+'), keyWord: null, cue: soundText(item.sounds) };
    case 'word':
    case 'made-up': {
      const sounds = item.phonemes
        .split('|')
        .flatMap((p) => p.split('+'))
        .filter(Boolean);
      return { sounds, keyWord: null, cue: sounds.map((s) => soundText(s)).join(' · ') };
    }
    default:
      return null;
  }
}

/**
 * What of a lesson is said, a line each: sounds and key words, as a school's recordings are named. The same for another
 * copy of the lesson.
 */
export const neededOf = (lesson: LessonView['lesson']): string =>
  [
    ...new Set(
      lesson.parts.flatMap((part) =>
        part.activities.flatMap((activity) =>
          activity.items.flatMap((item) => {
            const said = saidOf({ item });
            return said ? [...said.sounds.map((s) => `sound ${s}`), `key-word ${said.keyWord}`] : [];
          }),
        ),
      ),
    ),
  ].join('\n');

/**
 * The school's voices on the board. They are fetched when it is opened, so that nothing is asked for while teaching;
 * where a sound was not recorded, how it is made is shown for a moment instead.
 */
export function useVoices(schoolId: string | null, lesson: LessonView['lesson']) {
  const files = useRef(new Map<string, ArrayBuffer>());
  const [cue, setCue] = useState<string | null>(null);
  const needed = neededOf(lesson);
  useEffect(() => {
    if (!schoolId) return;
    const names = new Set(needed.split('\n'));
    const load = async () => {
      const voices = await answered(client.GET('/api/schools/{schoolId}/voices', { params: { path: { schoolId } } }));
      for (const voice of voices.filter((v) => names.has(`${v.kind} ${v.name}`))) {
        const answer = await fetch(soundAt(schoolId, voice.id));
        if (answer.ok) files.current.set(`${voice.kind} ${voice.name}`, await answer.arrayBuffer());
      }
    };
    // Without its voices a board shows how sounds are made.
    load().catch(() => undefined);
  }, [schoolId, needed]);
  useEffect(() => {
    if (cue === null) return undefined;
    const timer = setTimeout(() => setCue(null), A_LOOK);
    return () => clearTimeout(timer);
  }, [cue]);
  const say = (slide: Slide | undefined) => {
    const said = slide && saidOf(slide);
    if (!said) return;
    const sounds = said.sounds.map((s) => files.current.get(`sound ${s}`));
    const word = files.current.get(`key-word ${said.keyWord}`);
    if (sounds.some((s) => s === undefined)) setCue(said.cue);
    else {
      setCue(null);
      void play([...sounds.map((s) => s!), ...(word ? [word] : [])]);
    }
  };
  return { cue, say };
}
