import type { Schemas } from '../api/client';
import { activityFacts, type Facts } from '../facts/facts';

export type Template = Schemas['LessonTemplate'];
export type Slot = Schemas['Slot'];

const withSlots = (template: Template, part: number, slots: Slot[]): Template => ({
  ...template,
  parts: template.parts.map((p, i) => (i === part ? { ...p, slots } : p)),
});

export const changed = (template: Template, part: number, at: number, slot: Slot) =>
  withSlots(
    template,
    part,
    template.parts[part]!.slots.map((s, i) => (i === at ? slot : s)),
  );

export const removed = (template: Template, part: number, at: number) =>
  withSlots(
    template,
    part,
    template.parts[part]!.slots.filter((_, i) => i !== at),
  );

/** One place earlier or later; at an end it stays. */
export function moved(template: Template, part: number, at: number, by: -1 | 1): Template {
  const slots = [...template.parts[part]!.slots];
  const to = at + by;
  if (to < 0 || to >= slots.length) return template;
  [slots[at], slots[to]] = [slots[to]!, slots[at]!];
  return withSlots(template, part, slots);
}

/** A place for the first activity of the part that has none yet. */
export function added(template: Template, part: number, facts: Facts): Template {
  const own = template.parts[part]!;
  const used = own.slots.flatMap((s) => s.kinds);
  const next = facts.activities.find((a) => a.part === own.kind && !used.includes(a.kind));
  return next
    ? withSlots(template, part, [...own.slots, { kinds: [next.kind], takeTurns: false, need: 'room', items: 4 }])
    : template;
}

/**
 * Seconds that the lesson takes always, when there is something for its places, and when minutes are left: by the
 * longest of each place's activities.
 */
export function secondsOf(template: Template, facts: Facts): Record<Slot['need'], number> {
  const sums = { must: 0, 'if-any': 0, room: 0 };
  for (const slot of template.parts.flatMap((p) => p.slots)) {
    const each = Math.max(...slot.kinds.map((k) => activityFacts(facts, k).seconds));
    // Of what is new there is one or two, whatever the place would take.
    const items = slot.kinds.every((k) => activityFacts(facts, k).once) ? 1 : slot.items;
    sums[slot.need] += facts.changeOver + each * items;
  }
  return sums;
}
