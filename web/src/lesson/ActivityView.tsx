import { Fragment } from 'react';
import { Button } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { labelText, reasonText, saysText, soundText, text, textOf } from '../text/text';
import { minutesOf, type Activity, type CardItem, type Command, type SentenceItem, type SpellingsItem } from './lesson';
import { GapWord } from '../words/GapWord';
import { MarkedWord } from '../words/MarkedWord';
import { WordTile } from './WordTile';

const CHANGEABLE: Activity['kind'][] = ['grapheme-cards', 'recent-words', 'oral-blending', 'read-words', 'spell-words', 'read-sentence', 'oral-sentence', 'sound-to-spellings', 'word-chain', 'made-up-words', 'missing-grapheme'];

interface Props {
  activity: Activity;
  problems: Schemas['ItemProblem'][];
  editable: boolean;
  busy: boolean;
  onCommand: (command: Command) => void;
}

export function ActivityView({ activity, problems, editable, busy, onCommand }: Props) {
  const name = textOf('activity', activity.kind);
  const oral = activity.items.some((i) => i.$type === 'word' && i.oral);
  return (
    <article className="activity" data-activity={activity.id}>
      <header>
        <h3>{name}</h3>
        <span className="quiet">
          {textOf('response', activity.response)} · {text('part.minutes', { minutes: minutesOf(activity.seconds) })}
        </span>
        {editable && CHANGEABLE.includes(activity.kind) && (
          <Button
            variant="link"
            size="sm"
            disabled={busy}
            aria-label={text('lesson.othersFor', { activity: name })}
            onClick={() => onCommand({ type: 'choose-others', activityId: activity.id })}
          >
            {text('lesson.others')}
          </Button>
        )}
      </header>
      {oral && <p className="quiet small mb-2">{text('lesson.onlySaid')}</p>}
      <div className="items">
        {activity.items.map((item) => {
          const broken = problems.some((p) => p.itemId === item.id);
          switch (item.$type) {
            case 'word':
              return <WordTile key={item.id} item={item} broken={broken} editable={editable && CHANGEABLE.includes(activity.kind) && activity.kind !== 'word-chain'} busy={busy} onCommand={onCommand} />;
            case 'card':
              return activity.kind === 'new-correspondence' ? <NewCard key={item.id} item={item} /> : <Card key={item.id} item={item} broken={broken} />;
            case 'pattern':
              return (
                <p key={item.id} className="pattern-item">
                  {textOf('pattern', item.pattern)}
                </p>
              );
            case 'sentence':
              return <Sentence key={item.id} item={item} />;
            case 'made-up':
              return (
                <span key={item.id} className={`card-item literacy${broken ? ' broken' : ''}`} title={[`/${item.phonemes.replaceAll('|', ' ')}/`, ...item.reasons.map(reasonText)].join(' · ')}>
                  <MarkedWord word={item.word} marks={item.marks} />
                </span>
              );
            case 'gap':
              return (
                <span key={item.id} className={`card-item literacy${broken ? ' broken' : ''}`} title={item.word}>
                  <GapWord word={item.word} marks={item.marks} gap={item.gap} revealed={false} />
                </span>
              );
            case 'spellings':
              return <Spellings key={item.id} item={item} />;
            default:
              return null;
          }
        })}
      </div>
    </article>
  );
}

function Card({ item, broken }: { item: CardItem; broken: boolean }) {
  return (
    <span className={`card-item literacy${broken ? ' broken' : ''}`} title={[soundText(item.sounds), ...item.reasons.map(reasonText)].join(' · ')}>
      {item.grapheme}
    </span>
  );
}

/** What is new today: its kind and letter names, its sound, and where it stands in words. */
function NewCard({ item }: { item: CardItem }) {
  const positions = item.positions;
  return (
    <div className="new-card">
      <span className="literacy new-grapheme">{item.grapheme}</span>
      <div>
        <p className="new-sound">{saysText(item.sounds, item.keyWord)}</p>
        <p className="quiet mb-1">
          {text('card.kind', { kind: textOf('kind', item.kind), count: item.letterNames.length, letters: item.letterNames.join(', ') })} {text(item.canBeHeld ? 'card.held' : 'card.short')}
        </p>
        {positions && (
          <table className="positions">
            <caption className="quiet">{text('card.positions')}</caption>
            <tbody>
              {(
                [
                  ['card.start', positions.start, positions.startExample],
                  ['card.middle', positions.middle, positions.middleExample],
                  ['card.end', positions.end, positions.endExample],
                ] as const
              ).map(([label, share, example]) => (
                <tr key={label}>
                  <th scope="row">{text(label)}</th>
                  <td>{share}%</td>
                  <td className="literacy">{example}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
    </div>
  );
}

/** A sound and the spellings of it that were taught. */
function Spellings({ item }: { item: SpellingsItem }) {
  return (
    <span className="spellings">
      <span>{saysText(item.sounds, item.keyWord)}</span>
      {item.graphemes.map((g) => (
        <span key={g} className="card-item literacy">
          {g}
        </span>
      ))}
    </span>
  );
}

function Sentence({ item }: { item: SentenceItem }) {
  return (
    <div>
      <p className="literacy sentence">
        {item.words.map((w, i) => (
          <Fragment key={i}>
            {i > 0 && ' '}
            <span className={w.status === 'tricky' ? 'word-tricky' : undefined}>{w.text}</span>
          </Fragment>
        ))}
      </p>
      <p className="quiet small mb-0">{item.reasons.map((r) => reasonText({ ...r, arguments: r.arguments.map(labelText) })).join(' · ')}</p>
    </div>
  );
}
