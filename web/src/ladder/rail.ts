import type { Schemas } from '../api/client';
import { shortDayText, text, textOf } from '../text/text';

const DAY = 86_400_000;

const days = (from: string, to: string) => Math.round((Date.parse(to) - Date.parse(from)) / DAY);

/** What lies between two rungs' days: quiet days and long breaks, as the calendar rail says it. */
export function gapsBefore(
  date: string,
  previous: string,
  quiet: readonly Schemas['QuietDayView'][],
  longBreak: number,
): string {
  const between = quiet.filter((q) => q.date >= previous && q.date < date);
  const parts: string[] = [];
  const stops = [previous, ...between.map((q) => q.date), date];
  for (let i = 1; i < stops.length; i++) {
    const gap = days(stops[i - 1]!, stops[i]!);
    if (gap > longBreak) parts.push(text('rail.break', { weeks: Math.max(1, Math.round((gap - 3) / 7)) }));
    const kind = between[i - 1]?.kind;
    if (kind && kind !== between[i - 2]?.kind) {
      const run = between.slice(i - 1).findIndex((q) => q.kind !== kind);
      const count = run < 0 ? between.length - (i - 1) : run;
      parts.push(text('rail.quiet', { kind: textOf('label', kind), date: shortDayText(stops[i]!), count }));
    }
  }
  return parts.join(' · ');
}

/**
 * The days of the rungs still to come, in the order they are shown in: a rung that is carried along takes the day of
 * its place.
 */
export function datesInOrder(
  rungs: readonly { id: string }[],
  group: Schemas['GroupDates'] | undefined,
): Map<string, string> {
  const dates = Object.values(group?.planned ?? {}).sort();
  return new Map(rungs.filter((r) => group?.planned[r.id]).map((r, i) => [r.id, dates[i]!]));
}

/** For each place the last date above it; undefined where there is none. */
export function datesBefore(dates: readonly (string | undefined)[]): (string | undefined)[] {
  let last: string | undefined;
  return dates.map((date) => {
    const before = last;
    last = date ?? last;
    return before;
  });
}

/**
 * The dates the rail shows, top to bottom, never backwards: a rung that was taught before what now stands above it says
 * so in place of its date.
 */
export function railDates(
  rungs: readonly { id: string }[],
  group: Schemas['GroupDates'] | undefined,
): { date?: string; outOfTurn?: boolean }[] {
  const planned = datesInOrder(rungs, group);
  let last = '';
  return rungs.map((rung) => {
    const date = planned.get(rung.id) ?? group?.taught[rung.id];
    if (date === undefined) return {};
    if (date < last) return { outOfTurn: true };
    last = date;
    return { date };
  });
}
