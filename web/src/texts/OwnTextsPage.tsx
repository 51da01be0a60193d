import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { answered, client } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { labelText, text, textOf } from '../text/text';
import { ownTextsQuery, type OwnText } from './queries';
import { TextsNav } from './TextsNav';

/** The school's own bank: stories, sentences and dictations that its people wrote. */
export function OwnTextsPage() {
  const { school } = useSchool();
  const queries = useQueryClient();
  const texts = useQuery(ownTextsQuery(school.id));
  const [search, setSearch] = useState('');
  const [withAway, setWithAway] = useState(false);
  usePageTitle(text('texts.tabOwn'));
  const away = useMutation({
    mutationFn: (one: OwnText) =>
      answered(
        client.POST('/api/schools/{schoolId}/own-texts/{textId}/away', {
          params: { path: { schoolId: school.id, textId: one.id }, header: { 'If-Match': one.stamp } },
          body: { isAway: !one.isRetired },
        }),
      ),
    onSettled: () => nowStale(queries, school.id, 'ownTexts'),
  });
  if (texts.isPending) return <Loading />;
  if (texts.error) return <ErrorNote problem={texts.error} retry={() => void texts.refetch()} />;
  const wanted = search.trim().toLowerCase();
  const shown = texts.data.filter(
    (t) =>
      (withAway || !t.isRetired) &&
      (wanted === '' || `${t.title} ${t.author} ${t.body}`.toLowerCase().includes(wanted)),
  );
  const mayChange = school.role !== 'helper' && school.role !== 'head';
  return (
    <>
      <TextsNav />
      <div className="d-flex flex-wrap gap-3 align-items-center mb-3">
        <Form.Control
          className="w-auto"
          value={search}
          placeholder={text('texts.search')}
          aria-label={text('texts.search')}
          onChange={(e) => setSearch(e.target.value)}
        />
        <Form.Check
          id="own-away"
          label={text('texts.withAway')}
          checked={withAway}
          onChange={(e) => setWithAway(e.target.checked)}
        />
        {mayChange && (
          <Link className="btn btn-primary ms-auto" to="/texts">
            {text('texts.writeOne')}
          </Link>
        )}
      </div>
      {away.error && <ErrorNote problem={away.error} />}
      {texts.data.length === 0 && <p className="panel">{text('texts.bankEmpty')}</p>}
      {texts.data.length > 0 && shown.length === 0 && <p className="panel">{text('texts.noneFound')}</p>}
      <ul className="list-unstyled d-grid gap-2">
        {shown.map((t) => (
          <li key={t.id} className={`panel mb-0 d-md-flex gap-3 align-items-start${t.isRetired ? ' opacity-75' : ''}`}>
            <div className="flex-grow-1">
              <Link to={`/texts/own/${t.id}`} className="literacy fs-5 fw-bold">
                {t.title}
              </Link>
              <p className="quiet mb-1">
                {textOf('textKind', t.kind)} · {text('texts.byAuthor', { author: t.author, words: t.words })}
                {!t.isShared && ` · ${text('texts.notShared')}`}
                {t.isRetired && ` · ${text('texts.isAway')}`}
                {!t.isKnown && ` · ${text('texts.byHand')}`}
              </p>
              <p className="mb-1">
                {t.readBy.length > 0 ? text('texts.readBy', { groups: t.readBy.join(', ') }) : text('texts.readByNone')}
                {t.places.map((p) => (
                  <span key={p.ladder} className="quiet">
                    {' · '}
                    {p.rung
                      ? text('texts.fromOn', { rung: `${p.rung.number}. ${labelText(p.rung.label)}`, ladder: p.ladder })
                      : text('texts.neverOn', { ladder: p.ladder })}
                  </span>
                ))}
              </p>
              <p className="literacy mb-1 text-excerpt">{t.body}</p>
              {t.firstWords.length > 0 && (
                <p className="mb-0">
                  {text('texts.firstList')} <strong className="literacy">{t.firstWords.join(', ')}</strong>
                </p>
              )}
            </div>
            <div className="d-flex gap-2 flex-wrap">
              {t.kind === 'story' && (
                <Link className="btn btn-sm btn-outline-primary" to={`/texts/own/${t.id}/sheet`}>
                  {text('texts.huntSheet')}
                </Link>
              )}
              {mayChange && (
                <Button size="sm" variant="outline-secondary" disabled={away.isPending} onClick={() => away.mutate(t)}>
                  {text(t.isRetired ? 'texts.bringBack' : 'texts.putAway')}
                </Button>
              )}
            </div>
          </li>
        ))}
      </ul>
    </>
  );
}
