const BOARD = /^\/s\/([0-9a-f-]{36})\/groups\/([0-9a-f-]{36})\/lessons\/(\d{4}-\d{2}-\d{2})\/board(\/teacher)?$/;

/** Which school, group and day a board's address names, and whether it is the teacher's window; null for any other address. */
export function boardAt(
  pathname: string,
): { schoolId: string; groupId: string; date: string; isTeachers: boolean } | null {
  const [, schoolId, groupId, date, teachers] = BOARD.exec(pathname) ?? [];
  return schoolId && groupId && date ? { schoolId, groupId, date, isTeachers: teachers !== undefined } : null;
}
