import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { keptBoard, type TaughtFromBoard } from '../board/keptBoard';
import { forgetBoard } from '../board/link';
import { useFacts } from '../facts/facts';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Dialog } from '../shell/Dialog';
import { dayText, labelText, text, textOf } from '../text/text';
import { ActivityOptions } from './ActivityOptions';
import { type useLessonChanges } from './useLessonChanges';
import { minutesOf, type Activity, type Closing, type LessonView } from './kinds';
import { wobblesIn } from './wobbles';

interface Props {
  view: LessonView;
  close: ReturnType<typeof useLessonChanges>['close'];
  onHide: () => void;
}

/** As long as the server keeps a note. */
const LONGEST_REMARK = 1000;

/** What took so much longer than planned is named. */
const MUCH = 90;

/** How long the lesson took on the board, and what took longer than planned. */
function tookText(activities: readonly Activity[], took: TaughtFromBoard['took']): string {
  const seconds = activities.reduce((sum, a) => sum + (took[a.id] ?? 0), 0);
  const over = activities.filter((a) => (took[a.id] ?? 0) > a.seconds + MUCH).map((a) => textOf('activity', a.kind));
  return [
    text('close.took', { minutes: minutesOf(seconds) }),
    over.length > 0 && text('close.over', { what: over.join(', ') }),
  ]
    .filter(Boolean)
    .join(' ');
}

/** How the lesson went: one choice. Sending it again after a lost answer records it once. */
export function CloseDialog({ view, close, onHide }: Props) {
  const { school } = useSchool();
  const facts = useFacts();
  const activities = view.lesson.parts.flatMap((p) => p.activities);
  // What was marked while it was taught from a board of this browser, and how far that came.
  const [taught] = useState(() => keptBoard(view, facts));
  const [entryId] = useState(() => crypto.randomUUID());
  const [outcome, setOutcome] = useState<Closing['outcome']>(taught?.activityId ? 'stopped' : 'taught');
  const [stoppedAt, setStoppedAt] = useState(taught?.activityId ?? activities[activities.length - 1]?.id ?? '');
  const [wobbled, setWobbled] = useState<readonly string[]>(taught?.wobbled ?? []);
  const isQuiet = view.lesson.target.length + view.lesson.patterns.length === 0;
  const toCome = view.date > school.today;
  const [remark, setRemark] = useState(view.lesson.remark ?? '');
  const navigate = useNavigate();
  const save = (then: () => void) =>
    close.mutate(
      {
        entryId,
        outcome,
        stoppedAt: outcome === 'stopped' ? stoppedAt : null,
        wobbled: [...wobbled],
        took: outcome === 'not-taught' ? null : (taught?.took ?? null),
        remark,
      },
      {
        onSuccess: () => {
          forgetBoard(view.id);
          onHide();
          then();
        },
      },
    );
  const isShut = toCome || close.isPending;
  return (
    <Dialog
      title={text('close.title')}
      onHide={onHide}
      action={{ label: text('close.save'), run: () => save(() => undefined), disabled: isShut }}
      more={
        view.next && (
          <Button
            variant="outline-primary"
            disabled={isShut}
            onClick={() => save(() => void navigate(`/groups/${view.groupId}/lessons/${view.next}`))}
          >
            {text('close.saveAndNext', { day: dayText(view.next) })}
          </Button>
        )
      }
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
            <ActivityOptions lesson={view.lesson} />
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
          {wobblesIn(view.lesson, taught?.wobbled ?? []).map((card) => (
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
      {taught && outcome !== 'not-taught' && <p className="quiet small">{tookText(activities, taught.took)}</p>}
      {!toCome && (
        <Form.Group controlId="close-remark" className="mb-3">
          <Form.Label>
            {text('close.remark')} <span className="quiet">{text('close.remarkHelp')}</span>
          </Form.Label>
          <Form.Control
            as="textarea"
            rows={2}
            maxLength={LONGEST_REMARK}
            value={remark}
            onChange={(e) => setRemark(e.target.value)}
          />
        </Form.Group>
      )}
      {close.error && <ErrorNote problem={close.error} />}
    </Dialog>
  );
}
