import { Route, Routes } from 'react-router';
import { AuditPage } from './audit/AuditPage';
import { BoardPage } from './board/BoardPage';
import { CoverPage } from './cover/CoverPage';
import { WordsPage } from './explorer/WordsPage';
import { GatherPage } from './gather/GatherPage';
import { TemplatesPage } from './templates/TemplatesPage';
import { WeekPage } from './week/WeekPage';
import { CalendarPage } from './calendar/CalendarPage';
import { GroupsPage } from './groups/GroupsPage';
import { LadderPage } from './ladder/LadderPage';
import { LessonPage } from './lesson/LessonPage';
import { LessonPrint } from './lesson/LessonPrint';
import { MatPage } from './mat/MatPage';
import { RequireSession } from './session/RequireSession';
import { SignInPage } from './session/SignInPage';
import { AboutPage } from './shell/AboutPage';
import { NoPage } from './shell/NoPage';
import { Shell } from './shell/Shell';
import { StylePage } from './style/StylePage';

export function App() {
  return (
    <Routes>
      <Route path="/sign-in" element={<SignInPage />} />
      <Route path="/cover" element={<CoverPage />} />
      <Route element={<RequireSession />}>
        <Route path="/groups/:groupId/lessons/:date/board" element={<BoardPage />} />
        <Route element={<Shell />}>
          <Route index element={<GroupsPage />} />
          <Route path="/ladder" element={<LadderPage />} />
          <Route path="/calendar" element={<CalendarPage />} />
          <Route path="/style" element={<StylePage />} />
          <Route path="/week" element={<WeekPage />} />
          <Route path="/week/:date" element={<WeekPage />} />
          <Route path="/words" element={<WordsPage />} />
          <Route path="/words/:word" element={<WordsPage />} />
          <Route path="/templates" element={<TemplatesPage />} />
          <Route path="/groups/:groupId/gather/:date" element={<GatherPage />} />
          <Route path="/groups/:groupId/mats/:date" element={<MatPage />} />
          <Route path="/groups/:groupId/lessons/:date" element={<LessonPage />} />
          <Route path="/groups/:groupId/lessons/:date/print" element={<LessonPrint />} />
          <Route path="/audit" element={<AuditPage />} />
          <Route path="/about" element={<AboutPage />} />
          <Route path="*" element={<NoPage />} />
        </Route>
      </Route>
    </Routes>
  );
}
