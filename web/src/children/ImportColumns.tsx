import { Form, Table } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { text } from '../text/text';
import type { Preview } from './importing';

type Columns = Schemas['RosterColumns'];
type Meant = Schemas['GroupMeant'];

const PARTS = ['name', 'given', 'family', 'group'] as const;

interface Props {
  preview: Preview;
  groups: readonly Schemas['GroupView'][];
  onColumns: (columns: Columns) => void;
  onGroups: (meant: Meant[]) => void;
}

/** How a file was read: which column is which, which group its names mean, and what is not taken. */
export function ImportColumns({ preview, groups, onColumns, onGroups }: Props) {
  const { columns, sample, leftOut } = preview;
  const width = Math.max(0, ...sample.map((s) => s.length));
  const heading = (i: number) =>
    (columns?.hasHeader && sample[0]?.[i]) || text('import.columnNumber', { number: i + 1 });
  if (!columns && leftOut.length === 0 && preview.groups.length === 0) return null;
  return (
    <section className="panel mb-3">
      {columns && (
        <>
          <h2 className="fs-5">{text('import.columns')}</h2>
          <div className="d-flex flex-wrap gap-3 align-items-end mb-3">
            {PARTS.map((part) => (
              <Form.Group key={part} controlId={`column-${part}`}>
                <Form.Label>{text(`import.column.${part}`)}</Form.Label>
                <Form.Select
                  value={columns[part] ?? ''}
                  onChange={(e) => onColumns(withColumn(columns, part, e.target.value))}
                >
                  <option value="">{text('import.noColumn')}</option>
                  {Array.from({ length: width }, (_, i) => (
                    <option key={i} value={i}>
                      {heading(i)}
                    </option>
                  ))}
                </Form.Select>
              </Form.Group>
            ))}
            <Form.Check
              id="import-header"
              className="mb-2"
              label={text('import.header')}
              checked={columns.hasHeader}
              onChange={(e) => onColumns({ ...columns, hasHeader: e.target.checked })}
            />
          </div>
          <Table size="sm" responsive className="small w-auto" data-child-sample>
            <tbody>
              {sample.slice(0, 4).map((cells, i) => (
                <tr key={i}>
                  {cells.map((cell, j) => (
                    <td
                      key={j}
                      className={PARTS.some((p) => columns[p] === j) ? '' : 'quiet text-decoration-line-through'}
                    >
                      {columns.hasHeader && i === 0 ? <strong>{cell}</strong> : cell}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </Table>
        </>
      )}
      {leftOut.length > 0 && <p className="quiet">{text('import.leftOut', { what: leftOut.join(', ') })}</p>}
      {preview.groups.length > 0 && (
        <>
          <h2 className="fs-5">{text('import.groups')}</h2>
          <div className="d-flex flex-wrap gap-3">
            {preview.groups.map((meant) => (
              <Form.Group key={meant.name} controlId={`meant-${meant.name}`}>
                <Form.Label>{meant.name}</Form.Label>
                <Form.Select
                  value={meant.groupId ?? ''}
                  onChange={(e) =>
                    onGroups(
                      preview.groups.map((g) =>
                        g.name === meant.name ? { name: g.name, groupId: e.target.value || null } : g,
                      ),
                    )
                  }
                >
                  <option value="">{text('children.noGroup')}</option>
                  {groups.map((g) => (
                    <option key={g.id} value={g.id}>
                      {g.name}
                    </option>
                  ))}
                </Form.Select>
              </Form.Group>
            ))}
          </div>
        </>
      )}
    </section>
  );
}

/** A whole name or its two parts, never both. */
function withColumn(columns: Columns, part: (typeof PARTS)[number], value: string): Columns {
  const at = value === '' ? null : Number(value);
  const next = { ...columns, [part]: at };
  if (at === null) return next;
  if (part === 'name') return { ...next, given: null, family: null };
  if (part === 'given' || part === 'family') return { ...next, name: null };
  return next;
}
