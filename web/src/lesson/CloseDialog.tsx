import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Dialog } from '../shell/Dialog';
import { labelText, text, textOf } from '../text/text';
import { type useLessonChanges } from './useLessonChanges';
import { cardsOf, type Closing, type LessonView } from './kinds';

interface Props {
  view: LessonView;
  close: ReturnType<typeof useLessonChanges>['close'];
  onHide: () => void;
}

/** The cards of a lesson, each correspondence once, what is new first. */
function shownIn(view: LessonView) {
  const cards = view.lesson.parts.flatMap((p) => p.activities.flatMap((a) => cardsOf(a.items)));
  const once = cards.filter((c, i) => cards.findIndex((o) => o.correspondence === c.correspondence) === i);
  return once.sort(
    (a, b) =>
      Number(view.lesson.target.includes(b.correspondence)) - Number(view.lesson.target.includes(a.correspondence)),
  );
}

/** How the lesson went: one choice. Sending it again after a lost answer records it once. */
export function CloseDialog({ view, close, onHide }: Props) {
  const { school } = useSchool();
  const activities = view.lesson.parts.flatMap((p) => p.activities);
  const [entryId] = useState(() => crypto.randomUUID());
  const [outcome, setOutcome] = useState<Closing['outcome']>('taught');
  const [stoppedAt, setStoppedAt] = useState(activities[activities.length - 1]?.id ?? '');
  const [wobbled, setWobbled] = useState<string[]>([]);
  const isQuiet = view.lesson.target.length + view.lesson.patterns.length === 0;
  const toCome = view.date > school.today;
  const submit = () => {
    close.mutate(
      { entryId, outcome, stoppedAt: outcome === 'stopped' ? stoppedAt : null, wobbled },
      { onSuccess: onHide },
    );
  };
  return (
    <Dialog
      title={text('close.title')}
      onHide={onHide}
      action={{ label: text('close.save'), run: submit, disabled: toCome || close.isPending }}
    >
      {toCome && <p>{text('close.notYet')}</p>}
      <fieldset disabled={toCome} className="d-grid gap-2 my-3 mx-0">
        <legend className="visually-hidden">{text('close.title')}</legend>
        <Form.Check
          type="radio"
          name="outcome"
          id="outcome-taught"
          label={
            <>
              {text('close.taught')}{' '}
              <span className="quiet small d-block">
                {text(isQuiet ? 'close.quietHelp' : 'close.taughtHelp', { what: labelText(view.rungLabel) })}
              </span>
            </>
          }
          checked={outcome === 'taught'}
          onChange={() => setOutcome('taught')}
        />
        <Form.Check
          type="radio"
          name="outcome"
          id="outcome-stopped"
          label={text('close.stopped')}
          checked={outcome === 'stopped'}
          onChange={() => setOutcome('stopped')}
        />
        {outcome === 'stopped' && (
          <Form.Select
            aria-label={text('close.activity')}
            value={stoppedAt}
            onChange={(e) => setStoppedAt(e.target.value)}
          >
            {view.lesson.parts.map((part) => (
              <optgroup key={part.kind} label={textOf('part', part.kind)}>
                {part.activities.map((a) => (
                  <option key={a.id} value={a.id}>
                    {textOf('activity', a.kind)}
                  </option>
                ))}
              </optgroup>
            ))}
          </Form.Select>
        )}
        <Form.Check
          type="radio"
          name="outcome"
          id="outcome-not-taught"
          label={
            <>
              {text('close.notTaught')} <span className="quiet small d-block">{text('close.notTaughtHelp')}</span>
            </>
          }
          checked={outcome === 'not-taught'}
          onChange={() => setOutcome('not-taught')}
        />
      </fieldset>
      {outcome !== 'not-taught' && !toCome && (
        <fieldset className="mb-3">
          <legend className="fs-6">
            {text('close.wobbled')} <span className="quiet">{text('close.wobbledHelp')}</span>
          </legend>
          {shownIn(view).map((card) => (
            <button
              key={card.correspondence}
              type="button"
              className="chip d-inline-flex rounded-pill text-body align-items-center gap-1 py-1 px-3 me-1 mb-1 fs-5 literacy"
              aria-pressed={wobbled.includes(card.correspondence)}
              onClick={() =>
                setWobbled(
                  wobbled.includes(card.correspondence)
                    ? wobbled.filter((w) => w !== card.correspondence)
                    : [...wobbled, card.correspondence],
                )
              }
            >
              {card.grapheme}
            </button>
          ))}
        </fieldset>
      )}
      {close.error && <ErrorNote problem={close.error} />}
    </Dialog>
  );
}
