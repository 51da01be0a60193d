import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ComponentProps } from 'react';
import { Button, Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { useFacts } from '../facts/facts';
import { templatesQuery } from '../lesson/queries';
import { partColours } from '../lesson/partColours';
import { PartIcon } from '../lesson/PartIcon';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { SaveProblem } from '../shell/SaveProblem';
import { useUnsaved } from '../shell/useUnsaved';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { text, textOf, weekdayText } from '../text/text';
import { SlotRow } from './SlotRow';
import { slotFitQuery } from './queries';
import { added, changed, moved, removed, secondsOf, type Slot, type Template } from './template';

/** What lessons are built from, by kind of day, length and weekday. */
export function TemplatesPage() {
  const facts = useFacts();
  const { school } = useSchool();
  const templates = useQuery(templatesQuery(school.id));
  const [day, setDay] = useState<Template['day']>('new');
  const [minutes, setMinutes] = useState(20);
  const [weekday, setWeekday] = useState<number | null>(null);
  usePageTitle(text('templates.title'));
  if (templates.isPending) return <Loading />;
  if (templates.error) return <ErrorNote problem={templates.error} retry={() => void templates.refetch()} />;
  const every = templates.data.templates.find(
    (t) => t.weekday === null && t.template.day === day && t.template.minutes === minutes,
  )!;
  const own = templates.data.templates.find(
    (t) => t.weekday === weekday && t.template.day === day && t.template.minutes === minutes,
  );
  const kept = own ?? { ...every, weekday, own: false, stamp: templates.data.noStamp };
  return (
    <>
      <h1>{text('templates.title')}</h1>
      <p className="quiet">{text('templates.intro')}</p>
      <div className="d-flex flex-wrap gap-3 mb-3">
        <Form.Group controlId="template-day">
          <Form.Label>{text('templates.day')}</Form.Label>
          <Form.Select value={day} onChange={(e) => setDay(e.target.value as Template['day'])}>
            {facts.days.map((d) => (
              <option key={d} value={d}>
                {text(`day.${d}`)}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="template-minutes">
          <Form.Label>{text('templates.minutes')}</Form.Label>
          <Form.Select value={minutes} onChange={(e) => setMinutes(Number(e.target.value))}>
            {facts.lengths.map((m) => (
              <option key={m} value={m}>
                {text('groups.minutes', { minutes: m })}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="template-weekday">
          <Form.Label>{text('templates.weekday')}</Form.Label>
          <Form.Select
            value={weekday ?? ''}
            onChange={(e) => setWeekday(e.target.value === '' ? null : Number(e.target.value))}
          >
            <option value="">{text('templates.everyDay')}</option>
            {[1, 2, 3, 4, 5, 6, 7].map((d) => (
              <option key={d} value={d}>
                {weekdayText(d)}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      </div>
      <Editor key={`${day}-${minutes}-${weekday}-${kept.own}`} kept={kept} />
    </>
  );
}

function Editor({ kept }: { kept: Schemas['TemplateView'] }) {
  const facts = useFacts();
  const { school } = useSchool();
  const queries = useQueryClient();
  const [template, setTemplate] = useState<Template>(kept.template);
  // What was loaded, until someone else's turns out to be newer: then saving says so before it lays this over theirs.
  const [stamp, setStamp] = useState(kept.stamp);
  useUnsaved(JSON.stringify(template) !== JSON.stringify(kept.template));
  const settle = {
    onSuccess: (all: Schemas['TemplatesView']) => {
      queries.setQueryData(templatesQuery(school.id).queryKey, all);
      setStamp(
        all.templates.find(
          (t) =>
            t.weekday === kept.weekday && t.template.day === template.day && t.template.minutes === template.minutes,
        )?.stamp ?? all.noStamp,
      );
    },
  };
  const path = { schoolId: school.id };
  const save = useMutation({
    mutationFn: () =>
      answered(
        client.PUT('/api/schools/{schoolId}/templates', {
          params: { path, header: { 'If-Match': stamp } },
          body: { template, weekday: kept.weekday },
        }),
      ),
    ...settle,
  });
  const back = useMutation({
    mutationFn: () =>
      answered(
        client.DELETE('/api/schools/{schoolId}/templates/{day}/{minutes}', {
          params: {
            path: { ...path, day: template.day, minutes: template.minutes },
            query: kept.weekday === null ? {} : { weekday: kept.weekday },
            header: { 'If-Match': stamp },
          },
        }),
      ),
    ...settle,
  });
  const editable = school.role === 'lead';
  const seconds = secondsOf(template, facts);
  return (
    <>
      <p>
        <span className="border rounded-pill px-2 small">{text(kept.own ? 'templates.own' : 'templates.shipped')}</span>{' '}
        {text('templates.sum', {
          minutes: Math.round(seconds.must / 60),
          total: template.minutes,
          maybe: Math.round(seconds['if-any'] / 60),
          room: Math.round(seconds.room / 60),
        })}
      </p>
      {template.parts.map((part, p) => (
        <section
          key={part.kind}
          className={`part part-${part.kind} border rounded mb-3 py-3 px-2 px-md-3`}
          style={partColours(part.kind)}
        >
          <h2 className="d-flex align-items-center gap-2 mb-3">
            <PartIcon part={part.kind} /> {textOf('part', part.kind)}
          </h2>
          <div className="slots d-grid gap-2">
            {part.slots.map((slot, s) => (
              <CheckedSlot
                key={s}
                template={template}
                isChanged={JSON.stringify(slot) !== JSON.stringify(kept.template.parts[p]?.slots[s])}
                slot={slot}
                part={part.kind}
                editable={editable}
                isFirst={s === 0}
                isLast={s === part.slots.length - 1}
                onChange={(next: Slot) => setTemplate(changed(template, p, s, next))}
                onMove={(by) => setTemplate(moved(template, p, s, by))}
                onRemove={() => setTemplate(removed(template, p, s))}
              />
            ))}
          </div>
          {editable && (
            <Button size="sm" variant="link" onClick={() => setTemplate(added(template, p, facts))}>
              {text('templates.addSlot')}
            </Button>
          )}
        </section>
      ))}
      {(save.error ?? back.error) && <SaveProblem problem={(save.error ?? back.error)!} onMine={setStamp} />}
      {editable && (
        <p className="d-flex gap-2">
          <Button
            disabled={save.isPending || JSON.stringify(template) === JSON.stringify(kept.template)}
            onClick={() => save.mutate()}
          >
            {text('templates.save')}
          </Button>
          {kept.own && (
            <Button variant="outline-secondary" disabled={back.isPending} onClick={() => back.mutate()}>
              {text('templates.back')}
            </Button>
          )}
          {kept.own && !save.isPending && <span role="status">{text('templates.saved')}</span>}
        </p>
      )}
    </>
  );
}

/** A place that says, once it is changed, on which days of its kind nothing can fill it. */
function CheckedSlot({
  template,
  isChanged,
  ...row
}: { template: Template; isChanged: boolean } & Omit<ComponentProps<typeof SlotRow>, 'fit'>) {
  const { school } = useSchool();
  const fit = useQuery({ ...slotFitQuery(school.id, template, row.part, row.slot), enabled: isChanged });
  return <SlotRow {...row} fit={isChanged ? (fit.data ?? null) : null} />;
}
