import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useFacts } from '../facts/facts';
import { useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useSchool } from '../session/session';
import { SaveProblem } from '../shell/SaveProblem';
import { useUnsaved } from '../shell/useUnsaved';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { text, textOf } from '../text/text';
import { styleQuery } from './queries';
import { ChunkList } from './ChunkList';
import { StyleSample } from './StyleSample';
import { WayFile } from './WayFile';
import { useSaveStyle, type HouseStyle, type StyleView } from './useSaveStyle';

const LABELS = ['revisit', 'teach', 'practise', 'apply', 'tricky', 'double'] as const;

/** Our school's way: what it calls things, how it shows them, what it lets in; seen at once on a sample. */
export function StylePage() {
  const { school } = useSchool();
  usePageTitle(text('style.title'));
  const style = useQuery(styleQuery(school.id));
  // What was read from a file is shown in a form made anew.
  const [read, setRead] = useState(0);
  return style.data ? (
    <>
      <StyleForm key={read} kept={style.data} />
      <WayFile onRead={() => setRead(read + 1)} />
    </>
  ) : (
    <Loading />
  );
}

function StyleForm({ kept }: { kept: StyleView }) {
  const facts = useFacts();
  const { school } = useSchool();
  const save = useSaveStyle(school.id);
  const [accent, setAccent] = useState(kept.accent);
  const [style, setStyle] = useState(kept.style);
  const [stamp, setStamp] = useState(kept.stamp);
  const unsaved = accent !== kept.accent || JSON.stringify(style) !== JSON.stringify(kept.style);
  useUnsaved(unsaved);
  const lead = school.role === 'lead';
  const change = (part: Partial<HouseStyle>) => {
    save.reset();
    setStyle({ ...style, ...part });
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const labels = Object.fromEntries(Object.entries(style.labels).filter(([, label]) => label.trim() !== ''));
    save.mutate(
      { stamp, body: { accent, style: { ...style, labels } } },
      {
        onSuccess: (saved) => {
          setStyle(saved.style);
          setStamp(saved.stamp);
        },
      },
    );
  };
  const toggled = (list: readonly string[], id: string, on: boolean) =>
    on ? [...list, id] : list.filter((other) => other !== id);
  const switches = style.switches ?? kept.accents.find((a) => a.id === accent)?.switches ?? [];
  return (
    <>
      <h1>{text('style.title')}</h1>
      <p className="quiet">
        {text(lead ? 'style.intro' : 'style.leadOnly')} <Link to="/templates">{text('templates.link')}</Link> ·{' '}
        <Link to="/voices">{text('voices.link')}</Link>
      </p>
      <div className="style-page d-md-grid gap-4 align-items-start">
        <Form onSubmit={submit}>
          <fieldset disabled={!lead} className="settings d-grid gap-3 align-items-start">
            <section className="panel">
              <h2>{text('style.marks')}</h2>
              <Choice
                name="marks"
                ids={['trays', 'cuts', 'papers']}
                prefix="style.marks"
                value={style.marks.style}
                onChange={(v) => change({ marks: { ...style.marks, style: v } })}
              />
              <div className="form-line d-flex flex-wrap gap-2 align-items-center mb-2">
                <Form.Label htmlFor="mark-shape" className="mb-0">
                  {text('style.shape')}
                </Form.Label>
                <Form.Select
                  id="mark-shape"
                  className="w-auto"
                  value={style.marks.shape}
                  onChange={(e) =>
                    change({ marks: { ...style.marks, shape: e.target.value as HouseStyle['marks']['shape'] } })
                  }
                >
                  {['round', 'square', 'slanted'].map((s) => (
                    <option key={s} value={s}>
                      {textOf('style.shape', s)}
                    </option>
                  ))}
                </Form.Select>
                <Form.Label htmlFor="mark-weight" className="mb-0">
                  {text('style.weight')}
                </Form.Label>
                <Form.Range
                  id="mark-weight"
                  className="w-auto"
                  min={1}
                  max={4}
                  value={style.marks.weight}
                  onChange={(e) => change({ marks: { ...style.marks, weight: Number(e.target.value) } })}
                />
              </div>
              <h3>{text('style.soundLabels')}</h3>
              <Choice
                name="sounds"
                ids={['ipa', 'plain']}
                prefix="style.soundLabels"
                value={style.soundLabels}
                onChange={(v) => change({ soundLabels: v })}
              />
              <h3>{text('style.counting')}</h3>
              <Choice
                name="counting"
                ids={['taps', 'sounds']}
                prefix="style.counting"
                value={style.counting}
                onChange={(v) => change({ counting: v })}
              />
              <h3>{text('style.lettering')}</h3>
              <Form.Check
                id="one-storey"
                label={text('style.oneStorey')}
                checked={style.lettering.oneStorey}
                onChange={(e) => change({ lettering: { ...style.lettering, oneStorey: e.target.checked } })}
              />
              <Form.Check
                id="pen-down"
                label={text('style.penDown')}
                checked={style.lettering.penDown === true}
                onChange={(e) => change({ lettering: { ...style.lettering, penDown: e.target.checked } })}
              />
              <Form.Label htmlFor="writing-lines" className="mb-0 mt-2">
                {text('style.lines')}
              </Form.Label>
              <Form.Control
                id="writing-lines"
                defaultValue={style.lettering.lines.join(', ')}
                onBlur={(e) =>
                  change({
                    lettering: {
                      ...style.lettering,
                      lines: e.target.value
                        .split(',')
                        .map((l) => l.trim())
                        .filter((l) => l !== ''),
                    },
                  })
                }
              />
            </section>
            <section className="panel">
              <h2>{text('style.words')}</h2>
              {LABELS.map((label) => (
                <Form.Group
                  key={label}
                  controlId={`label-${label}`}
                  className="form-line d-flex flex-wrap gap-2 align-items-center mb-2"
                >
                  <Form.Label className="label-name mb-0">{textOf('style.label', label)}</Form.Label>
                  <Form.Control
                    maxLength={30}
                    placeholder={textOf('style.label', label)}
                    value={style.labels[label] ?? ''}
                    onChange={(e) => change({ labels: { ...style.labels, [label]: e.target.value } })}
                  />
                </Form.Group>
              ))}
            </section>
            <section className="panel">
              <h2>{text('style.accent')}</h2>
              <Form.Select
                aria-label={text('style.accent')}
                value={accent}
                onChange={(e) => {
                  setAccent(e.target.value);
                  change({ switches: null });
                }}
              >
                {kept.accents.map(({ id }) => (
                  <option key={id} value={id}>
                    {textOf('style.accent', id)}
                  </option>
                ))}
              </Form.Select>
              <p className="quiet small">{text('style.accentNone')}</p>
              {facts.accentSwitches.map((id) => (
                <Form.Check
                  key={id}
                  id={`switch-${id}`}
                  label={textOf('style.switch', id)}
                  checked={switches.includes(id)}
                  onChange={(e) => change({ switches: toggled(switches, id, e.target.checked) })}
                />
              ))}
              <h3>{text('style.leniencies')}</h3>
              {facts.leniencies.map((id) => (
                <Form.Check
                  key={id}
                  id={`leniency-${id}`}
                  label={textOf('style.leniency', id)}
                  checked={style.leniencies.includes(id)}
                  onChange={(e) => change({ leniencies: toggled(style.leniencies, id, e.target.checked) })}
                />
              ))}
            </section>
            <section className="panel">
              <h2>{text('style.tricky')}</h2>
              <Choice
                name="tricky"
                ids={['tricky-part', 'boxes', 'by-heart']}
                prefix="style.tricky"
                value={style.trickyWay}
                onChange={(v) => change({ trickyWay: v })}
              />
              <h3>{text('style.blending')}</h3>
              <Choice
                name="blending"
                ids={['sound-by-sound', 'continuous', 'cumulative', 'adjacent-first']}
                prefix="style.blending"
                value={style.blending}
                onChange={(v) => change({ blending: v })}
              />
              <h3>{text('style.madeUp')}</h3>
              <Choice
                name="made-up"
                ids={['in-lessons', 'only-in-checks', 'never']}
                prefix="style.madeUp"
                value={style.madeUpWords}
                onChange={(v) => change({ madeUpWords: v })}
              />
              <Form.Check
                id="style-word-tick"
                label={text('style.wordTick')}
                checked={style.wordTick ?? false}
                onChange={(e) => change({ wordTick: e.target.checked })}
              />
              <Form.Check
                id="style-meanings"
                label={text('style.meanings')}
                checked={style.meanings ?? true}
                onChange={(e) => change({ meanings: e.target.checked })}
              />
              <Form.Group controlId="style-greeting" className="mt-2">
                <Form.Label>{text('style.greeting')}</Form.Label>
                <Form.Control
                  as="textarea"
                  rows={2}
                  maxLength={300}
                  value={style.greeting ?? ''}
                  placeholder={text('home.greeting')}
                  onChange={(e) => change({ greeting: e.target.value.replace(/\s+/g, ' ') })}
                />
              </Form.Group>
              <h3>{text('style.release')}</h3>
              <div className="form-line d-flex flex-wrap gap-2 align-items-center mb-2">
                {(['iDo', 'weDo'] as const).map((step) => (
                  <Form.Group
                    key={step}
                    controlId={`release-${step}`}
                    className="form-line d-flex flex-wrap gap-2 align-items-center mb-2"
                  >
                    <Form.Label className="mb-0">{textOf('style.release', step)}</Form.Label>
                    <Form.Control
                      className="flex-grow-0"
                      type="number"
                      min={0}
                      max={9}
                      required
                      value={style.release[step]}
                      onChange={(e) => change({ release: { ...style.release, [step]: Number(e.target.value) } })}
                    />
                  </Form.Group>
                ))}
              </div>
              <Form.Check
                id="release-youDo"
                label={text('style.release.youDo')}
                checked={style.release.youDo > 0}
                onChange={(e) => change({ release: { ...style.release, youDo: e.target.checked ? 1 : 0 } })}
              />
              <p className="quiet small">{text('style.releaseHelp')}</p>
              <ChunkList chunks={style.chunks} onChange={(chunks) => change({ chunks })} />
            </section>
          </fieldset>
          {save.error && <SaveProblem problem={save.error} onMine={setStamp} />}
          {lead && (
            <p className={`save-bar py-2 px-3 border-top${unsaved ? ' sticky-bottom bg-white shadow' : ''}`}>
              <Button type="submit" disabled={save.isPending}>
                {text('style.save')}
              </Button>{' '}
              <span role="status">{save.isSuccess && text('style.saved')}</span>
            </p>
          )}
        </Form>
        <StyleSample view={kept} accent={accent} style={style} />
      </div>
    </>
  );
}

function Choice<T extends string>({
  name,
  ids,
  prefix,
  value,
  onChange,
}: {
  name: string;
  ids: T[];
  prefix: string;
  value: string;
  onChange: (id: T) => void;
}) {
  return (
    <div role="radiogroup">
      {ids.map((id) => (
        <Form.Check
          key={id}
          type="radio"
          name={name}
          id={`${name}-${id}`}
          label={textOf(prefix, id)}
          checked={value === id}
          onChange={() => onChange(id)}
        />
      ))}
    </div>
  );
}
