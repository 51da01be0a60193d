import { useQuery } from '@tanstack/react-query';
import { useSchool } from '../session/session';
import { text } from '../text/text';
import { MarkedWord } from '../words/MarkedWord';
import { styleSampleQuery } from './queries';
import type { HouseStyle, StyleView } from './useSaveStyle';

/** A few words as they will look: marks, sounds, counts. */
export function StyleSample({ view, accent, style }: { view: StyleView; accent: string; style: HouseStyle }) {
  const { school } = useSchool();
  const switches = style.switches?.join(',');
  const sample = useQuery(styleSampleQuery(school.id, accent, switches));
  const sound = (sounds: string) =>
    style.soundLabels === 'ipa'
      ? `/${sounds.replaceAll('|', ' ').replaceAll('+', '')}/`
      : sounds
          .split(/[|+]/)
          .map((s) => view.sounds.find((known) => known.symbol === s)?.label ?? s)
          .join(' · ');
  return (
    <aside
      className="panel style-sample"
      data-marks={style.marks.style}
      data-mark-shape={style.marks.shape}
      data-mark-weight={style.marks.weight}
      data-lettering={style.lettering.oneStorey ? 'one-storey' : 'print'}
    >
      <h2>{text('style.sample')}</h2>
      <ul className="list-unstyled">
        {(sample.data ?? view.sample).map((w) => (
          <li key={w.word} className="border-top py-2">
            <span className="d-block fs-2">
              <MarkedWord word={w.word} marks={w.marks} />
            </span>
            <span className="quiet small">
              {sound(w.phonemes)} ·{' '}
              {style.counting === 'taps'
                ? text('style.taps', { taps: w.taps })
                : text('style.sounds', { sounds: w.sounds })}
            </span>
          </li>
        ))}
      </ul>
    </aside>
  );
}
