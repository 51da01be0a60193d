import { IntlMessageFormat } from 'intl-messageformat';
import type { Schemas } from '../api/client';
import { messages, type MessageKey } from './en-GB';
import { american } from './en-US';

export type { MessageKey };

let language = 'en-GB';
const formats = new Map<string, IntlMessageFormat>();

/** The interface language of the school; set once it is known. */
export function setLanguage(next: string) {
  if (next !== language) formats.clear();
  language = next;
}

export const languageNow = () => language;

/** A sentence of the catalogue with its values filled in. */
export function text(key: MessageKey, values: Record<string, string | number> = {}): string {
  const message = (language === 'en-US' ? american[key] : undefined) ?? messages[key] ?? key;
  if (typeof message === 'string') return renamed(key, message);
  let format = formats.get(key);
  if (!format) {
    format = new IntlMessageFormat(message, language);
    formats.set(key, format);
  }
  return renamed(key, String(format.format(values)));
}

/** What the school calls things, and how it shows sounds: set once our school's way is known. */
interface Wording {
  labels: Record<string, string>;
  plainSounds: boolean;
  countsSounds: boolean;
  sounds: readonly Schemas['SoundView'][];
  trickyWay: Schemas['TrickyWay'];
  blending: Schemas['Blending'];
  /** The writing lines by the school's names, top first; empty where it has none. */
  lines: readonly string[];
}

let wording: Wording = {
  labels: {},
  plainSounds: false,
  countsSounds: false,
  sounds: [],
  trickyWay: 'tricky-part',
  blending: 'sound-by-sound',
  lines: [],
};

/** How the school goes about tricky words. */
export const trickyWay = () => wording.trickyWay;

/** The names of the writing lines, top first. */
export const lineNames = () => wording.lines;

/** The wording as it is laid now. */
export const wordingNow = () => wording;

export function setWording(next: Wording) {
  wording = next;
}

const partKeys: Partial<Record<MessageKey, string>> = {
  'part.revisit': 'revisit',
  'part.teach': 'teach',
  'part.practise': 'practise',
  'part.apply': 'apply',
};

/** A sentence with the school's own words in it. */
function renamed(key: MessageKey, sentence: string): string {
  const part = partKeys[key];
  if (part) return wording.labels[part] ?? sentence;
  const { tricky, double } = wording.labels;
  let said = sentence;
  if (tricky) said = said.replace(/\btricky word(s?)\b/gi, (_, s: string) => tricky + s);
  if (double) said = said.replace(/\bdouble(s?)\b/g, (_, s: string) => double + s);
  return said;
}

/** A sound with its key word, said once: /eɪ/ as in rain; a plain label has its key word in it. */
export function saysText(sounds: string, keyWord: string): string {
  return wording.plainSounds ? soundText(sounds) : text('card.says', { sound: soundText(sounds), word: keyWord });
}

/** What to say in an activity, as the school goes about it. */
export function waySayText(activity: string): string {
  const way = { 'read-words': wording.blending }[activity] ?? wording.trickyWay;
  const key = `say.${activity}.${way}`;
  return key in messages ? text(key as MessageKey) : textOf('say', activity);
}

/** How many fingers or boxes a word takes: taps, or sounds where the school counts those. */
export function countOf(word: { taps: number; phonemes: string }): number {
  return wording.countsSounds ? word.phonemes.split(/[|+]/).length : word.taps;
}

/** The heading of a sort: a place in the word, a spelling, or a sound. */
export function headingText(by: string, heading: string): string {
  return by === 'position' ? textOf('card', heading) : by === 'spelling' ? heading : soundText(heading);
}

/** Sounds as the school shows them: /eɪ/, or “ai as in rain”. Several sounds are joined by +. */
export function soundText(sounds: string): string {
  if (!wording.plainSounds) return `/${sounds.replaceAll('+', ' ')}/`;
  const plain = sounds.split('+').map((s) => wording.sounds.find((known) => known.symbol === s));
  return plain
    .map((s, i) => (s ? text('sound.plain', { label: s.label, word: s.keyWord }) : sounds.split('+')[i]!))
    .join(' + ');
}

/** A sound for who never met such signs: “or” as in corn, whatever the school shows. */
export function plainSoundText(sounds: string, keyWord: string): string {
  const label = sounds
    .split('+')
    .map((s) => wording.sounds.find((known) => known.symbol === s)?.label ?? s)
    .join(' ');
  return text('sound.plain', { label, word: keyWord });
}

/** The sentence for a key that is put together at run time; the key itself where the catalogue has none. */
export function textOf(prefix: string, code: string, values: Record<string, string | number> = {}): string {
  const key = `${prefix}.${code}`;
  return key in messages ? text(key as MessageKey, values) : code;
}

/** A reason as the engine gives it, put into words. */
export function reasonText(reason: Schemas['Reason']): string {
  if (reason.code === 'too-few-for')
    return text(reason.arguments[0] === 'read-text' ? 'reason.no-text-for' : 'reason.too-few-for', {
      0: textOf('activity', reason.arguments[0]!),
      1: reason.arguments[1] ? textOf('activity', reason.arguments[1]) : 'undefined',
    });
  const shown = reason.code === 'uses-pattern' ? reason.arguments.map((a) => textOf('pattern', a)) : reason.arguments;
  return textOf(
    'reason',
    reason.code,
    Object.fromEntries(shown.map((a, i) => [String(i), /^\d+$/.test(a) ? Number(a) : a])),
  );
}

/** What is wrong with a rung's place, put into words. */
export function warningText(warning: Schemas['Reason']): string {
  if (warning.code === 'second-sound')
    return text('warning.second-sound', {
      0: soundText(warning.arguments[0]!),
      1: Number(warning.arguments[1]),
      2: Number(warning.arguments[2]),
    });
  if (warning.code === 'approach-left')
    return textOf('approachRule', warning.arguments[0]!, { 0: teachingText(warning.arguments[1]!) });
  if (warning.code === 'checkpoint-missed')
    return text('warning.checkpoint-missed', {
      0: stageText(teachingText(warning.arguments[0]!)),
      1: dayText(warning.arguments[1]!),
    });
  return textOf(
    'warning',
    warning.code,
    Object.fromEntries(warning.arguments.map((a, i) => [String(i), /^\d+$/.test(a) ? Number(a) : teachingText(a)])),
  );
}

/** 62%. */
export function shareText(share: number): string {
  return new Intl.NumberFormat(language, { style: 'percent' }).format(share);
}

/** Tuesday 24 November. */
export function dayText(date: string): string {
  return new Intl.DateTimeFormat(language, { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(
    new Date(`${date}T00:00:00Z`),
  );
}

/** Two days and what lies between, with the year: Mon 7 Sept – Fri 11 Dec 2026; one day where they are the same. */
export const datesText = (first: string, last: string) =>
  new Intl.DateTimeFormat(language, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  }).formatRange(new Date(first), new Date(last));

/** Tue 24 Nov. */
export function shortDayText(date: string): string {
  return new Intl.DateTimeFormat(language, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  }).format(new Date(`${date}T00:00:00Z`));
}

/** Mon, for 1. */
export function weekdayText(day: number): string {
  return new Intl.DateTimeFormat(language, { weekday: 'short', timeZone: 'UTC' }).format(
    new Date(Date.UTC(2024, 0, day)),
  );
}

/** 24 Nov 2026, 14:05. */
export function momentText(moment: string): string {
  return new Intl.DateTimeFormat(language, { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(moment));
}

/** What a rung or lesson teaches: graphemes as they are, patterns and days with nothing new by name. */
export function labelText(label: string): string {
  if (isPattern(label)) return textOf('pattern', label);
  const kind = textOf('label', label);
  if (kind !== label) return kind;
  return label
    .split(' ')
    .map((part) => (isPattern(part) ? textOf('pattern', part) : part))
    .join(part(label) ? ', ' : ' ');
}

/** The letters of a chunk that is written as its correspondences: a=æ n=ŋ k=k. */
export const chunkText = (chunk: string) =>
  chunk
    .split(' ')
    .map((c) => c.split('=')[0])
    .join('');

/** True for a chunk among what can be taught. */
export const isChunk = (taught: string) => taught.includes(' ');

/** True for a day that brings nothing new: review, recap, sorting. */
export function isQuietDay(label: string): boolean {
  return `label.${label}` in messages && label !== 'tricky-day';
}

const part = (label: string) => label.split(' ').some(isPattern);

/** A correspondence by its letters and sound, a chunk by its letters, a pattern by its name; anything else as it is. */
export function teachingText(what: string): string {
  if (isChunk(what)) return text('edit.chunk', { letters: chunkText(what) });
  const [letters, sounds] = what.split('=');
  return sounds ? `${letters} ${soundText(sounds)}` : labelText(what);
}

/** The name of a stretch of rungs: the catalogue's for a shipped one, else as the school wrote it. */
export function stageText(stage: string): string {
  const family = /^family (.+)$/.exec(stage);
  return family ? text('stage.family', { sound: soundText(family[1]!) }) : textOf('stage', stage);
}

/** One line of what a change did to a ladder. */
export function lineText(line: Schemas['Reason']): string {
  const of = (a: string, i: number) =>
    /^\d+$/.test(a) ? Number(a) : line.code === 'stage' && i === 1 ? stageText(a) : labelText(a);
  return textOf('line', line.code, Object.fromEntries(line.arguments.map((a, i) => [String(i), of(a, i)])));
}

const isPattern = (id: string) => `pattern.${id}` in messages;
