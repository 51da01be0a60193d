import { lazy, Suspense, type ComponentType } from 'react';
import { Route, Routes } from 'react-router';
import { QuietLock } from './session/QuietLock';
import { RequireSession } from './session/RequireSession';
import { Loading } from './shell/Loading';
import { NoPage } from './shell/NoPage';
import { Shell } from './shell/Shell';

/** A page that is fetched when it is first gone to. */
const page = <K extends string>(name: K, fetch: () => Promise<Record<K, ComponentType>>) =>
  lazy(async () => ({ default: (await fetch())[name] }));

const AboutPage = page('AboutPage', () => import('./shell/AboutPage'));
const AccountPage = page('AccountPage', () => import('./people/AccountPage'));
const ArchivedGroupPage = page('ArchivedGroupPage', () => import('./groups/ArchivedGroupPage'));
const ArchivedLessonPage = page('ArchivedLessonPage', () => import('./groups/ArchivedLessonPage'));
const ArchivePage = page('ArchivePage', () => import('./groups/ArchivePage'));
const AuditPage = page('AuditPage', () => import('./audit/AuditPage'));
const BoardPage = page('BoardPage', () => import('./board/BoardPage'));
const CalendarPage = page('CalendarPage', () => import('./calendar/CalendarPage'));
const ChildRecordPage = page('ChildRecordPage', () => import('./children/ChildRecordPage'));
const ChildrenPage = page('ChildrenPage', () => import('./children/ChildrenPage'));
const ChooseLadderPage = page('ChooseLadderPage', () => import('./ladder/ChooseLadderPage'));
const CoverPage = page('CoverPage', () => import('./cover/CoverPage'));
const GatherPage = page('GatherPage', () => import('./gather/GatherPage'));
const PrintingPage = page('PrintingPage', () => import('./printing/PrintingPage'));
const WeekPackPage = page('WeekPackPage', () => import('./printing/WeekPackPage'));
const GroupsPage = page('GroupsPage', () => import('./groups/GroupsPage'));
const ImportPage = page('ImportPage', () => import('./children/ImportPage'));
const JoinPage = page('JoinPage', () => import('./people/JoinPage'));
const LadderPage = page('LadderPage', () => import('./ladder/LadderPage'));
const LessonPage = page('LessonPage', () => import('./lesson/LessonPage'));
const LessonPrint = page('LessonPrint', () => import('./lesson/LessonPrint'));
const CatchUpPage = page('CatchUpPage', () => import('./marks/CatchUpPage'));
const ChildMemoryPage = page('ChildMemoryPage', () => import('./marks/ChildMemoryPage'));
const SchoolMemoryPage = page('SchoolMemoryPage', () => import('./marks/SchoolMemoryPage'));
const GroupMemoryPage = page('GroupMemoryPage', () => import('./marks/GroupMemoryPage'));
const MarkPage = page('MarkPage', () => import('./marks/MarkPage'));
const MatPage = page('MatPage', () => import('./mat/MatPage'));
const NewYearPage = page('NewYearPage', () => import('./groups/NewYearPage'));
const PastePage = page('PastePage', () => import('./ladder/PastePage'));
const PeoplePage = page('PeoplePage', () => import('./people/PeoplePage'));
const ResetPage = page('ResetPage', () => import('./people/ResetPage'));
const SchoolPage = page('SchoolPage', () => import('./school/SchoolPage'));
const StylePage = page('StylePage', () => import('./style/StylePage'));
const TemplatesPage = page('TemplatesPage', () => import('./templates/TemplatesPage'));
const CheckPage = page('CheckPage', () => import('./texts/CheckPage'));
const OwnTextsPage = page('OwnTextsPage', () => import('./texts/OwnTextsPage'));
const ReadingSheetPage = page('ReadingSheetPage', () => import('./texts/ReadingSheetPage'));
const ShelfPage = page('ShelfPage', () => import('./texts/ShelfPage'));
const VoicesPage = page('VoicesPage', () => import('./voices/VoicesPage'));
const WeekPage = page('WeekPage', () => import('./week/WeekPage'));
const WelcomePage = page('WelcomePage', () => import('./people/WelcomePage'));
const WordsPage = page('WordsPage', () => import('./explorer/WordsPage'));

export function App() {
  return (
    <Suspense fallback={<Loading />}>
      <Routes>
        <Route path="/cover" element={<CoverPage />} />
        <Route path="/welcome" element={<WelcomePage />} />
        <Route path="/join" element={<JoinPage />} />
        <Route path="/reset" element={<ResetPage />} />
        <Route element={<RequireSession />}>
          <Route path="/groups/:groupId/lessons/:date/board" element={<BoardPage />} />
          <Route element={<Shell />}>
            <Route index element={<GroupsPage />} />
            <Route path="/ladder" element={<LadderPage />} />
            <Route path="/ladder/choose" element={<ChooseLadderPage />} />
            <Route path="/ladder/paste" element={<PastePage />} />
            <Route path="/calendar" element={<CalendarPage />} />
            <Route path="/style" element={<StylePage />} />
            <Route path="/voices" element={<VoicesPage />} />
            <Route path="/week" element={<WeekPage />} />
            <Route path="/week/:date" element={<WeekPage />} />
            <Route path="/words" element={<WordsPage />} />
            <Route path="/words/:word" element={<WordsPage />} />
            <Route path="/texts" element={<CheckPage />} />
            <Route path="/texts/own" element={<OwnTextsPage />} />
            <Route path="/texts/own/:textId" element={<CheckPage />} />
            <Route path="/texts/own/:textId/sheet" element={<ReadingSheetPage />} />
            <Route path="/texts/books" element={<ShelfPage />} />
            <Route path="/templates" element={<TemplatesPage />} />
            <Route path="/groups/:groupId/gather/:date" element={<GatherPage />} />
            <Route path="/groups/:groupId/printing/:date" element={<PrintingPage />} />
            <Route path="/groups/:groupId/printing/:date/:what" element={<PrintingPage />} />
            <Route path="/week/:date/pack" element={<WeekPackPage />} />
            <Route path="/groups/:groupId/mats/:date" element={<MatPage />} />
            <Route path="/groups/:groupId/lessons/:date" element={<LessonPage />} />
            <Route path="/groups/:groupId/lessons/:date/print" element={<LessonPrint />} />
            <Route path="/school" element={<SchoolPage />} />
            <Route path="/new-year" element={<NewYearPage />} />
            <Route path="/archive" element={<ArchivePage />} />
            <Route path="/archive/:groupId" element={<ArchivedGroupPage />} />
            <Route path="/archive/:groupId/lessons/:lessonId" element={<ArchivedLessonPage />} />
            <Route element={<QuietLock />}>
              <Route path="/groups/:groupId/lessons/:date/marks" element={<MarkPage />} />
              <Route path="/groups/:groupId/memory" element={<GroupMemoryPage />} />
              <Route path="/groups/:groupId/catch-up" element={<CatchUpPage />} />
              <Route path="/children/:childId/memory" element={<ChildMemoryPage />} />
              <Route path="/memory" element={<SchoolMemoryPage />} />
              <Route path="/children" element={<ChildrenPage />} />
              <Route path="/children/import" element={<ImportPage />} />
              <Route path="/children/:childId/record" element={<ChildRecordPage />} />
            </Route>
            <Route path="/audit" element={<AuditPage />} />
            <Route path="/people" element={<PeoplePage />} />
            <Route path="/account" element={<AccountPage />} />
            <Route path="/about" element={<AboutPage />} />
            <Route path="*" element={<NoPage />} />
          </Route>
        </Route>
      </Routes>
    </Suspense>
  );
}
