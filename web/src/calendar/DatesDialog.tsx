import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { base64Of } from '../shell/base64';
import { FileChoice } from '../shell/FileChoice';
import { ErrorNote } from '../shell/ErrorNote';
import { datesText, text, textOf } from '../text/text';

type Calendar = Schemas['CalendarSettings'];
type Preview = Schemas['DatesPreview'];
type Meaning = Schemas['DateMeaning'];

const MEANINGS: readonly Meaning[] = ['term', 'closed', 'other'];

/** Terms and closed days out of a file: what each line means, then all of it laid into the form. */
export function DatesDialog({
  calendar,
  onTake,
  onHide,
}: {
  calendar: Calendar;
  onTake: (part: Pick<Calendar, 'terms' | 'closed'>) => void;
  onHide: () => void;
}) {
  const { school } = useSchool();
  const [content, setContent] = useState('');
  const [dayFirst, setDayFirst] = useState<boolean | null>(null);
  const [choices, setChoices] = useState<ReadonlyMap<number, Meaning>>(new Map());
  const look = useMutation({
    mutationFn: (asked: { content: string; dayFirst: boolean | null; choices: ReadonlyMap<number, Meaning> }) =>
      answered(
        client.POST('/api/schools/{schoolId}/calendar/files/look', {
          params: { path: { schoolId: school.id } },
          body: {
            content: asked.content,
            dayFirst: asked.dayFirst,
            choices: [...asked.choices].map(([line, meaning]) => ({ line, meaning })),
            terms: calendar.terms,
            closed: calendar.closed,
            lessonDays: calendar.lessonDays,
          },
        }),
      ),
  });
  // What was seen last stays while the next is asked for.
  const [seen, setSeen] = useState<Preview | null>(null);
  const again = (asked: { content: string; dayFirst: boolean | null; choices: ReadonlyMap<number, Meaning> }) => {
    setContent(asked.content);
    setDayFirst(asked.dayFirst);
    setChoices(asked.choices);
    look.mutate(asked, { onSuccess: setSeen, onError: () => setSeen(null) });
  };
  const isAsked = seen?.inDoubt != null && dayFirst === null;
  const found = seen?.lines.filter((l) => l.meaning !== 'other') ?? [];
  return (
    <Dialog
      title={text('dates.title')}
      onHide={onHide}
      size="xl"
      action={{
        label: text('dates.take'),
        run: () => {
          if (seen) onTake({ terms: seen.terms, closed: seen.closed });
          onHide();
        },
        disabled: !seen || isAsked || found.length === 0 || look.isPending,
      }}
    >
      <p className="quiet">{text('dates.why')}</p>
      <FileChoice
        id="dates-file"
        label={text('dates.file')}
        accept=".ics,.csv,.txt"
        onFile={(file) => {
          if (file) void base64Of(file).then((read) => again({ content: read, dayFirst: null, choices: new Map() }));
        }}
      />
      {look.error && <ErrorNote problem={look.error} />}
      {seen?.inDoubt && (
        <Form.Group controlId="dates-order" className="mb-3">
          <Form.Label>{text('dates.inDoubt', { date: seen.inDoubt })}</Form.Label>
          <Form.Select
            className="w-auto"
            value={dayFirst === null ? '' : String(dayFirst)}
            onChange={(e) => again({ content, choices, dayFirst: e.target.value === 'true' })}
          >
            {dayFirst === null && <option value="">{text('dates.choose')}</option>}
            <option value="true">{text('dates.dayFirst')}</option>
            <option value="false">{text('dates.monthFirst')}</option>
          </Form.Select>
        </Form.Group>
      )}
      {seen && !isAsked && (
        <>
          {seen.problems.length > 0 && (
            <ul className="text-danger" aria-label={text('dates.problems')}>
              {seen.problems.map((p) => (
                <li key={`${p.line} ${p.code}`}>{textOf('dates.problem', p.code, { line: p.line, value: p.value })}</li>
              ))}
            </ul>
          )}
          <p role="status" className="mb-2">
            {text('dates.sum', { terms: seen.terms.length, closed: seen.closed.length })}
          </p>
          <ul className="list-unstyled m-0" aria-label={text('dates.lines')}>
            {seen.lines.map((l) => (
              <li key={l.line} className="row gx-3 gy-1 align-items-center border-top py-2">
                <strong className="col-12 col-md-4">{l.name}</strong>
                <span className="col-12 col-md-4">{datesText(l.first, l.last)}</span>
                <span className="col-12 col-md-4">
                  <Form.Select
                    size="sm"
                    aria-label={text('dates.meansOf', { name: l.name })}
                    value={l.meaning}
                    disabled={look.isPending}
                    onChange={(e) =>
                      again({ content, dayFirst, choices: new Map(choices).set(l.line, e.target.value as Meaning) })
                    }
                  >
                    {MEANINGS.map((m) => (
                      <option key={m} value={m}>
                        {m === 'closed' && l.meaning === 'closed'
                          ? text('dates.closedDays', { count: l.closedDays })
                          : textOf('dates.meaning', m)}
                      </option>
                    ))}
                  </Form.Select>
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </Dialog>
  );
}
