import { useQuery } from '@tanstack/react-query';
import { Form } from 'react-bootstrap';
import { mainLadder } from '../ladder/mainLadder';
import { ladderQuery, laddersQuery } from '../ladder/queries';
import { useSchool } from '../session/session';
import { stageText, teachingText, text } from '../text/text';

/** What must be taught: a stretch of the school's first ladder, or one of its rungs. */
export function WhatChoice({ value, onChange }: { value: string; onChange: (what: string) => void }) {
  const { school } = useSchool();
  const ladders = useQuery(laddersQuery(school.id));
  const first = mainLadder(ladders.data?.filter((l) => l.latestVersion > 0));
  const ladder = useQuery(ladderQuery(school.id, first ? { ladderId: first.id, version: first.latestVersion } : null));
  const stages = [...new Set(ladder.data?.rungs.map((r) => r.stage))];
  const taught = [
    ...new Set(ladder.data?.rungs.flatMap((r) => [...r.correspondences.map((c) => c.notation), ...r.patterns])),
  ];
  const known = stages.includes(value) || taught.includes(value);
  return (
    <Form.Select aria-label={text('calendar.what')} value={value} onChange={(e) => onChange(e.target.value)}>
      {!known && <option value={value}>{teachingText(value)}</option>}
      {stages.map((s) => (
        <option key={s} value={s}>
          {text('calendar.stage', { stage: stageText(s) })}
        </option>
      ))}
      {taught.map((t) => (
        <option key={t} value={t}>
          {teachingText(t)}
        </option>
      ))}
    </Form.Select>
  );
}
