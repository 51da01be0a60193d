import { Route, Routes } from 'react-router';
import { BoardPage } from './board/BoardPage';
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
      <Route element={<RequireSession />}>
        <Route path="/groups/:groupId/lessons/:date/board" element={<BoardPage />} />
        <Route element={<Shell />}>
          <Route index element={<GroupsPage />} />
          <Route path="/ladder" element={<LadderPage />} />
          <Route path="/calendar" element={<CalendarPage />} />
          <Route path="/style" element={<StylePage />} />
          <Route path="/groups/:groupId/mats/:date" element={<MatPage />} />
          <Route path="/groups/:groupId/lessons/:date" element={<LessonPage />} />
          <Route path="/groups/:groupId/lessons/:date/print" element={<LessonPrint />} />
          <Route path="/about" element={<AboutPage />} />
          <Route path="*" element={<NoPage />} />
        </Route>
      </Route>
    </Routes>
  );
}
