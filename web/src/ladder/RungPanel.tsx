import { Table } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { labelText, saysText, shareText, soundText, text, textOf, warningText } from '../text/text';
import { shown } from '../words/spelling';
import type { Rung } from './editing';
import { RungNotes } from './RungNotes';
import { RungWords } from './RungWords';
import type { Ladder } from './queries';

interface Props {
  ladder: Ladder;
  rung: Rung;
  number: number;
  /** What the calendar makes wrong with the rung, for the group that is shown. */
  calendar: Schemas['Reason'][];
  /** What can be done to the rung where the ladder can be changed. */
  actions: React.ReactNode;
}

/**
 * All about one rung: what it teaches and how far it can be relied on, what is wrong with its place, what it unlocks,
 * how our school teaches it.
 */
export function RungPanel({ ladder, rung, number, calendar, actions }: Props) {
  return (
    <>
      <h2>{text('ladder.rung', { number, label: labelText(rung.label) })}</h2>
      {rung.correspondences.map((c) => (
        <p key={c.notation} className="fs-5 d-block">
          <span className="literacy fs-2">{c.grapheme}</span> {saysText(c.sounds, c.keyWord)}
        </p>
      ))}
      {rung.patterns.map((p) => (
        <p key={p} className="fs-5 d-block">
          {textOf('pattern', p)}
        </p>
      ))}
      {rung.kind !== 'lesson' && <p className="quiet">{textOf('ladder.kind', rung.kind)}</p>}
      {[...rung.warnings, ...calendar].map((warning) => (
        <p key={warning.code + warning.arguments.join()} className="flag-note py-2 px-3 rounded">
          {warningText(warning)}
        </p>
      ))}
      {rung.reason && rung.kind === 'lesson' && (
        <p className="flag-note py-2 px-3 rounded">
          {rung.reason === 'oral-work' ? text('ladder.thinWhy') : rung.reason}
        </p>
      )}
      {actions}
      {rung.correspondences.length > 0 && <FactsTable correspondences={rung.correspondences} />}
      {rung.correspondences.map((c) => (
        <PositionsLine key={c.notation} one={c} />
      ))}
      {rung.tricky.length > 0 && (
        <p className="quiet">{text('ladder.tricky', { words: rung.tricky.map(shown).join(', ') })}</p>
      )}
      {rung.graduates.length > 0 && (
        <p className="quiet">{text('ladder.graduates', { words: rung.graduates.map(shown).join(', ') })}</p>
      )}
      <p className="quiet">{text('ladder.shareOf', { share: shareText(rung.textShare) })}</p>
      {[...rung.correspondences.map((c) => c.notation), ...rung.patterns].map((subject) => (
        <RungNotes key={subject} subject={subject} label={labelText(subject.split('=')[0]!)} />
      ))}
      {rung.kind === 'lesson' && <RungWords ladder={ladder} rung={rung} />}
    </>
  );
}

/** Where in words a correspondence stands, with an example of each place. */
function PositionsLine({ one }: { one: Schemas['CorrespondenceView'] }) {
  const { positions } = one;
  if (!positions) return null;
  const places = [
    { name: 'start', share: positions.start, example: positions.startExample },
    { name: 'middle', share: positions.middle, example: positions.middleExample },
    { name: 'end', share: positions.end, example: positions.endExample },
  ].filter((p) => p.share > 0);
  return (
    <p className="quiet small">
      <span className="literacy">{one.grapheme}</span>:{' '}
      {places.map((p) => `${textOf('position', p.name)} ${p.share}%${p.example ? ` (${p.example})` : ''}`).join(' · ')}
    </p>
  );
}

/** How far each correspondence can be relied on, counted two ways. */
function FactsTable({ correspondences }: { correspondences: Schemas['CorrespondenceView'][] }) {
  const cell = (share: number | null | undefined) => (share === null || share === undefined ? '–' : shareText(share));
  return (
    <Table size="sm" className="small align-middle">
      <thead>
        <tr>
          <td />
          <th scope="col">{text('facts.inText')}</th>
          <th scope="col">{text('facts.inWords')}</th>
        </tr>
      </thead>
      <tbody>
        {correspondences.flatMap((c) => [
          <tr key={`${c.notation} says`}>
            <th scope="row">{text('facts.says', { letters: c.grapheme, sound: soundText(c.sounds) })}</th>
            <td>{cell(c.facts.readingReliability.inText)}</td>
            <td>{cell(c.facts.readingReliability.inWords)}</td>
          </tr>,
          <tr key={`${c.notation} spelled`}>
            <th scope="row">{text('facts.spelled', { letters: c.grapheme, sound: soundText(c.sounds) })}</th>
            <td>{cell(c.facts.spellingShare.inText)}</td>
            <td>{cell(c.facts.spellingShare.inWords)}</td>
          </tr>,
        ])}
      </tbody>
    </Table>
  );
}
