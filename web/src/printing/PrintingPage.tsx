import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { groupsQuery } from '../groups/queries';
import { useSchool } from '../session/session';
import { useActions } from '../shell/actions';
import { Kbd } from '../shell/Kbd';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, text, textOf } from '../text/text';
import { BookletsTab } from './BookletsTab';
import { CardsTab } from './CardsTab';
import { FilesTab } from './FilesTab';
import { HomeTab } from './HomeTab';
import { LessonPackTab } from './LessonPackTab';
import { SheetsTab } from './SheetsTab';
import { WallTab } from './WallTab';

const TABS = ['sheets', 'cards', 'booklets', 'home', 'wall', 'pack', 'files'] as const;

/** Everything that leaves the screen for a day of a group. */
export function PrintingPage() {
  const { school } = useSchool();
  const { groupId = '', date = '', what } = useParams();
  const navigate = useNavigate();
  const groups = useQuery(groupsQuery(school.id)).data;
  const tab = TABS.find((t) => t === what) ?? 'sheets';
  usePageTitle(textOf('printing', tab));
  usePrinting();
  useActions([
    { keys: ['p'], label: 'keys.printPage', run: () => window.print() },
    ...TABS.map((t, i) => ({
      keys: [String(i + 1)],
      label: `printing.${t}` as const,
      run: () => void navigate(`/groups/${groupId}/printing/${date}/${t}`),
    })),
  ]);
  const day = { schoolId: school.id, groupId, date };
  return (
    <>
      <div className="no-print">
        <div className="d-lg-flex justify-content-between align-items-end gap-4 mb-2">
          <div>
            <h1>{text('printing.title')}</h1>
            <p className="quiet mb-0">
              {groups?.find((g) => g.id === groupId)?.name} · {dayText(date)}
            </p>
          </div>
          <Link to={`/groups/${groupId}/lessons/${date}`}>← {text('gather.back')}</Link>
        </div>
        <nav className="nav nav-tabs mb-3" aria-label={text('printing.title')}>
          {TABS.map((t) => (
            <Link
              key={t}
              className={`nav-link${t === tab ? ' active' : ''}`}
              aria-current={t === tab ? 'page' : undefined}
              to={`/groups/${groupId}/printing/${date}/${t}`}
            >
              {textOf('printing', t)} <Kbd of={String(TABS.indexOf(t) + 1)} />
            </Link>
          ))}
        </nav>
      </div>
      {tab === 'sheets' && <SheetsTab day={day} />}
      {tab === 'cards' && <CardsTab day={day} />}
      {tab === 'booklets' && <BookletsTab day={day} />}
      {tab === 'home' && <HomeTab day={day} />}
      {tab === 'wall' && <WallTab day={day} />}
      {tab === 'pack' && <LessonPackTab day={day} />}
      {tab === 'files' && <FilesTab day={day} />}
    </>
  );
}

/** While such a page is open, printing is of the page itself. */
export function usePrinting() {
  useEffect(() => {
    document.documentElement.classList.add('printing');
    return () => document.documentElement.classList.remove('printing');
  }, []);
}
