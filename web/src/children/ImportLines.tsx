import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { text } from '../text/text';
import { choicesOf, isAsked, type Choice, type Line } from './importing';

interface Props {
  lines: readonly Line[];
  groups: readonly Schemas['GroupView'][];
  chosen: ReadonlyMap<number, Choice>;
  onChoose: (line: number, choice: Choice) => void;
}

/** More than this of those who simply come in tells nobody anything. */
const SHOWN = 60;

/** What would come of each line: what is to be decided first, then what can't be read, then who comes in. */
export function ImportLines({ lines, groups, chosen, onChoose }: Props) {
  const nameOf = (id: string | null) => groups.find((g) => g.id === id)?.name ?? text('children.noGroup');
  const asked = lines.filter(isAsked);
  const unread = lines.filter((l) => l.state === 'unreadable');
  const fresh = lines.filter((l) => l.state === 'new');
  const shortened = lines.filter((l) => l.isShortened).length;
  const label = (line: Line, choice: Choice) =>
    choice === 'add'
      ? text('import.choice.another')
      : line.state !== 'elsewhere'
        ? text('import.choice.same')
        : choice === 'move'
          ? text('import.choice.move', { group: nameOf(line.groupId) })
          : text('import.choice.leave');
  return (
    <>
      {asked.length > 0 && (
        <section className="panel mb-3">
          <h2 className="fs-5">{text('import.asked')}</h2>
          <p className="quiet">{text('import.askedWhy')}</p>
          <ul className="list-unstyled m-0">
            {asked.map((line) => (
              <li
                key={line.line}
                className="d-flex flex-wrap align-items-center column-gap-3 row-gap-1 border-top py-2"
              >
                <span className="quiet small">{text('import.line', { line: line.line })}</span>
                <span className="flex-grow-1">
                  {text(`import.state.${line.state as 'here' | 'elsewhere' | 'twice'}`, {
                    name: line.name,
                    group: nameOf(line.groupId),
                    other: nameOf(line.otherGroup),
                  })}
                </span>
                <Form.Select
                  className="w-auto"
                  aria-label={`${text('import.line', { line: line.line })}: ${line.name}`}
                  value={chosen.get(line.line) ?? line.usual}
                  onChange={(e) => onChoose(line.line, e.target.value as Choice)}
                >
                  {choicesOf(line).map((choice) => (
                    <option key={choice} value={choice}>
                      {label(line, choice)}
                    </option>
                  ))}
                </Form.Select>
              </li>
            ))}
          </ul>
        </section>
      )}
      {unread.length > 0 && (
        <section className="panel mb-3">
          <h2 className="fs-5">{text('import.unread')}</h2>
          <p className="m-0">{text('import.unreadWhy', { lines: unread.map((l) => l.line).join(', ') })}</p>
        </section>
      )}
      {fresh.length > 0 && (
        <section className="panel mb-3">
          <h2 className="fs-5">
            {text('import.rest')}{' '}
            <span className="quiet fs-6 fw-normal">{text('children.count', { count: fresh.length })}</span>
          </h2>
          {shortened > 0 && <p className="quiet">{text('import.shortened', { count: shortened })}</p>}
          <ul className="list-unstyled m-0 row row-cols-2 row-cols-md-3 row-cols-xl-4">
            {fresh.slice(0, SHOWN).map((l) => (
              <li key={l.line} className="col ps-0">
                {l.name} <span className="quiet small">{nameOf(l.groupId)}</span>
              </li>
            ))}
          </ul>
          {fresh.length > SHOWN && <p className="quiet m-0">+ {fresh.length - SHOWN}</p>}
        </section>
      )}
    </>
  );
}
