import { useState } from 'react';
import { activityFacts, useFacts } from '../facts/facts';
import { Button, Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { labelText, reasonText, saysText, soundText, text, textOf } from '../text/text';
import { ItemShown } from './ItemShown';
import { ItemTile } from './ItemTile';
import {
  cardsOf,
  minutesOf,
  type Activity,
  type CardItem,
  type Command,
  type LessonView,
  type PartKind,
} from './kinds';
import { TypeOwn } from './TypeOwn';
import { tileOf } from './why';

interface Props {
  view: LessonView;
  part: PartKind;
  activity: Activity;
  /** Its place in its part, and how many there are. */
  at: number;
  of: number;
  problems: Schemas['ItemProblem'][];
  phrases: ReadonlyMap<string, string>;
  editable: boolean;
  say: boolean;
  busy: boolean;
  onCommand: (command: Command) => void;
}

export function ActivityView({
  view,
  part,
  activity,
  at,
  of,
  problems,
  phrases,
  editable,
  say,
  busy,
  onCommand,
}: Props) {
  const [open, setOpen] = useState(false);
  const facts = useFacts();
  const known = activityFacts(facts, activity.kind);
  const name = textOf('activity', activity.kind);
  const oral = activity.items.some((i) => i.$type === 'word' && i.oral);
  const changeable = editable && !known.fixed;
  const activityId = activity.id;
  const isBroken = (id: string) => problems.some((p) => p.itemId === id);
  return (
    <article className="bg-white rounded px-3 pt-2 pb-3" data-activity={activity.id}>
      <header className="d-flex flex-wrap align-items-baseline column-gap-2 mb-2">
        <h3 className="mb-0">{name}</h3>
        <span className="quiet">
          {textOf('response', activity.response)} · {text('part.minutes', { minutes: minutesOf(activity.seconds) })}
          {activity.steps &&
            ` · ${text('lesson.release', { i: activity.steps.iDo, we: activity.steps.weDo, you: activity.steps.youDo })}`}
        </span>
        <span className="ms-auto d-flex gap-1">
          {changeable && (
            <Button
              variant="link"
              size="sm"
              disabled={busy}
              aria-label={text('lesson.othersFor', { activity: name })}
              onClick={() => onCommand({ type: 'choose-others', activityId })}
            >
              {text('lesson.others')}
            </Button>
          )}
          {editable && (
            <Button
              variant="link"
              size="sm"
              aria-expanded={open}
              aria-label={text('lesson.moreFor', { activity: name })}
              onClick={() => setOpen(!open)}
            >
              {text('lesson.more')}
            </Button>
          )}
        </span>
      </header>
      {say && <p className="say bg-body py-2 px-3 mb-2">{sayText(activity)}</p>}
      {open && editable && (
        <div className="d-flex flex-wrap align-items-center gap-2 bg-body border rounded py-2 px-3 mb-3">
          <Form.Label className="d-flex align-items-center gap-2 m-0">
            {text('lesson.length')}{' '}
            <Form.Select
              size="sm"
              value={Math.max(1, Math.round(activity.seconds / 60))}
              disabled={busy}
              aria-label={text('lesson.lengthFor', { activity: name })}
              onChange={(e) => onCommand({ type: 'set-length', activityId, seconds: Number(e.target.value) * 60 })}
            >
              {Array.from({ length: 15 }, (_, i) => (
                <option key={i} value={i + 1}>
                  {i + 1}
                </option>
              ))}
            </Form.Select>
          </Form.Label>
          <Button
            variant="outline-secondary"
            size="sm"
            disabled={busy || at === 0}
            aria-label={text('lesson.moveUpFor', { activity: name })}
            onClick={() => onCommand({ type: 'move-activity', activityId, place: at - 1 })}
          >
            {text('lesson.moveUp')}
          </Button>
          <Button
            variant="outline-secondary"
            size="sm"
            disabled={busy || at === of - 1}
            aria-label={text('lesson.moveDownFor', { activity: name })}
            onClick={() => onCommand({ type: 'move-activity', activityId, place: at + 1 })}
          >
            {text('lesson.moveDown')}
          </Button>
          <Button
            variant="outline-secondary"
            size="sm"
            disabled={busy}
            aria-label={text('lesson.dropFor', { activity: name })}
            onClick={() => onCommand({ type: 'drop-activity', activityId })}
          >
            {text('lesson.drop')}
          </Button>
          {known.takes !== 'none' && (
            <TypeOwn
              view={view}
              part={part}
              activity={activity}
              busy={busy}
              onAdd={(typed) => onCommand({ type: 'add-text', activityId, text: typed })}
            />
          )}
        </div>
      )}
      {(oral || sharedText(activity)) && (
        <p className="quiet small mb-2">
          {sharedText(activity)} {oral && text('lesson.onlySaid')}
        </p>
      )}
      <div className="d-flex flex-wrap gap-2 align-items-start">
        {activity.items.map((item) => {
          const tile = tileOf(item, activity.kind, facts);
          if (tile)
            return (
              <ItemTile
                key={tile.id}
                item={tile}
                kind={activity.kind}
                broken={isBroken(item.id)}
                editable={changeable}
                busy={busy}
                onCommand={onCommand}
              />
            );
          if (item.$type === 'card' && (activity.kind === 'new-correspondence' || activity.kind === 'where-it-stands'))
            return <NewCard key={item.id} item={item} />;
          if (item.$type === 'card' && activity.kind === 'memory-phrase') {
            return (
              <p key={item.id} className="cue m-0 w-100">
                <span className="literacy">{item.grapheme}</span> {phrases.get(item.correspondence)}
              </p>
            );
          }
          return <ItemShown key={item.id} item={item} kind={activity.kind} broken={isBroken(item.id)} />;
        })}
      </div>
      {activity.levels && <LevelsLine activity={activity} />}
    </article>
  );
}

/** What an adult who is no specialist says and does; of what is new, how its sound is said cleanly. */
export function sayText(activity: Activity): string {
  const line = textOf('say', activity.kind);
  const card = activity.kind === 'new-correspondence' ? cardsOf(activity.items)[0] : undefined;
  const shared = sharedText(activity);
  if (card) return `${line} ${text(card.canBeHeld ? 'say.held' : 'say.short')}`;
  return shared ? `${shared} ${line}` : line;
}

/** What all of an activity's words or answers share, said once: where they have the sound, which sound it is. */
export function sharedText(activity: Activity): string {
  const item = activity.items[0];
  if (activity.kind === 'hear-sound' && item?.$type === 'word') return textOf('shared', item.reasons[0]!.code);
  const sound = item?.$type === 'clue' && item.reasons.find((r) => r.code === 'shares-sound')?.arguments[0];
  return sound ? text('shared.answers', { sound: soundText(sound) }) : '';
}

export function LevelsLine({ activity }: { activity: Activity }) {
  const wordsOf = (items: Activity['items']) => items.map((i) => (i.$type === 'word' ? i.word : '')).join(', ');
  return (
    <p className="levels mt-3 mb-0 quiet d-flex flex-wrap gap-4">
      {(['support', 'stretch'] as const).map((level) =>
        activity.levels![level].length > 0 ? (
          <span key={level}>
            {text(`lesson.${level}`)}: <span className="literacy text-body">{wordsOf(activity.levels![level])}</span>
          </span>
        ) : null,
      )}
      {(activity.levels!.reasons ?? []).map((r) => (
        <span key={r.code}>{reasonText(r)}</span>
      ))}
    </p>
  );
}

/** What is new today: its kind and letter names, its sound, or where it stands in words. */
function NewCard({ item }: { item: CardItem }) {
  const positions = item.positions;
  if (positions) {
    return (
      <table className="positions table table-borderless table-sm w-auto mb-0">
        <caption className="quiet text-nowrap py-0">{`${text('card.positions')}: ${labelText(item.grapheme)}`}</caption>
        <tbody>
          {(
            [
              ['card.start', positions.start, positions.startExample],
              ['card.middle', positions.middle, positions.middleExample],
              ['card.end', positions.end, positions.endExample],
            ] as const
          ).map(([label, share, example]) => (
            <tr key={label}>
              <th scope="row" className="fw-normal">
                {text(label)}
              </th>
              <td>{share}%</td>
              <td className="literacy">{example}</td>
            </tr>
          ))}
        </tbody>
      </table>
    );
  }
  return (
    <div className="d-flex gap-4 align-items-start">
      <span className="literacy new-grapheme lh-sm text-center rounded py-0 px-3">{item.grapheme}</span>
      <div>
        <p className="fs-5 m-0">{saysText(item.sounds, item.keyWord)}</p>
        <p className="quiet mb-1">
          {text('card.kind', {
            kind: textOf('kind', item.kind),
            count: item.letterNames.length,
            letters: item.letterNames.join(', '),
          })}{' '}
          {text(item.canBeHeld ? 'card.held' : 'card.short')}
        </p>
      </div>
    </div>
  );
}
