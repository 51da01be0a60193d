import { Route, Routes } from 'react-router';
import { BoardPage } from './board/BoardPage';
import { GroupsPage } from './groups/GroupsPage';
import { LadderPage } from './ladder/LadderPage';
import { LessonPage } from './lesson/LessonPage';
import { LessonPrint } from './lesson/LessonPrint';
import { RequireSession } from './session/RequireSession';
import { SignInPage } from './session/SignInPage';
import { AboutPage } from './shell/AboutPage';
import { NoPage } from './shell/NoPage';
import { Shell } from './shell/Shell';

export function App() {
  return (
    <Routes>
      <Route path="/sign-in" element={<SignInPage />} />
      <Route element={<RequireSession />}>
        <Route path="/groups/:groupId/lessons/:date/board" element={<BoardPage />} />
        <Route element={<Shell />}>
          <Route index element={<GroupsPage />} />
          <Route path="/ladder" element={<LadderPage />} />
          <Route path="/groups/:groupId/lessons/:date" element={<LessonPage />} />
          <Route path="/groups/:groupId/lessons/:date/print" element={<LessonPrint />} />
          <Route path="/about" element={<AboutPage />} />
          <Route path="*" element={<NoPage />} />
        </Route>
      </Route>
    </Routes>
  );
}
