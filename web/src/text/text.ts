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

/** A sentence of the catalogue with its values filled in. */
export function text(key: MessageKey, values: Record<string, string | number> = {}): string {
  let format = formats.get(key);
  if (!format) {
    const message = (language === 'en-US' ? american[key] : undefined) ?? messages[key];
    format = new IntlMessageFormat(message, language);
    formats.set(key, format);
  }
  return String(format.format(values));
}

/** The sentence for a key that is put together at run time; the key itself where the catalogue has none. */
export function textOf(prefix: string, code: string, values: Record<string, string | number> = {}): string {
  const key = `${prefix}.${code}`;
  return key in messages ? text(key as MessageKey, values) : code;
}

/** A reason as the engine gives it, put into words. */
export function reasonText(reason: Schemas['Reason']): string {
  const shown = reason.code === 'uses-pattern' ? reason.arguments.map((a) => textOf('pattern', a)) : reason.arguments;
  return textOf('reason', reason.code, Object.fromEntries(shown.map((a, i) => [String(i), /^\d+$/.test(a) ? Number(a) : a])));
}

/** What is wrong with a rung's place, put into words. */
export function warningText(warning: Schemas['Reason']): string {
  return textOf('warning', warning.code, Object.fromEntries(warning.arguments.map((a, i) => [String(i), /^\d+$/.test(a) ? Number(a) : labelText(a)])));
}

/** 62%. */
export function shareText(share: number): string {
  return new Intl.NumberFormat(language, { style: 'percent' }).format(share);
}

/** Tuesday 24 November. */
export function dayText(date: string): string {
  return new Intl.DateTimeFormat(language, { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(new Date(`${date}T00:00:00Z`));
}

/** What a rung or lesson teaches: graphemes as they are, patterns by name. */
export function labelText(label: string): string {
  return label in patternIds ? textOf('pattern', label) : label;
}

const patternIds = Object.fromEntries(
  Object.keys(messages)
    .filter((k) => k.startsWith('pattern.'))
    .map((k) => [k.slice('pattern.'.length), true]),
);
