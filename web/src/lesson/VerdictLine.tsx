import { dayText, teachingText, text, textOf } from '../text/text';
import type { Verdict } from './kinds';

/** What a group can do with a word, what it needs and when. */
export function VerdictLine({ verdict, name }: { verdict: Verdict; name?: string }) {
  const good = verdict.status === 'decodable' || verdict.status === 'tricky';
  const when = (need: Verdict['needs'][number]) =>
    need.when
      ? text('verdict.when', { what: teachingText(need.what), date: need.when.date ? dayText(need.when.date) : 'none' })
      : text('verdict.never', { what: teachingText(need.what) });
  return (
    <p className={`verdict mt-1 mb-0 ps-3 verdict-${good ? 'good' : 'not'}`}>
      <strong className={name ? undefined : 'literacy'}>{name ?? verdict.written}</strong>{' '}
      {textOf('verdict', verdict.status)}
      {verdict.needs.length > 0 && `: ${verdict.needs.map((n) => text('verdict.needs', { what: when(n) })).join('; ')}`}
      {verdict.needs.length > 1 &&
        verdict.readable?.date &&
        `. ${text('verdict.readableFrom', { date: dayText(verdict.readable.date) })}`}
      {good && verdict.twin && ` · ${text('verdict.twin', { word: verdict.twin })}`}
    </p>
  );
}
