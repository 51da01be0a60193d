import { queryOptions } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';

export type PaperSheet = Schemas['PaperSheet'];
export type SheetKind = PaperSheet['kind'];
export type SheetLevel = PaperSheet['level'];

/** The sheets that can be made for a day of a group. */
export const sheetsQuery = (schoolId: string, groupId: string, date: string) =>
  queryOptions({
    queryKey: ['sheets', schoolId, groupId, date],
    staleTime: 0,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/groups/{groupId}/sheets/{date}', {
          params: { path: { schoolId, groupId, date } },
        }),
      ),
  });

/** One of them: the same for the same seed. */
export const sheetQuery = (
  schoolId: string,
  groupId: string,
  date: string,
  kind: SheetKind,
  level: SheetLevel,
  seed: number,
) =>
  queryOptions({
    queryKey: ['sheet', schoolId, groupId, date, kind, level, seed],
    staleTime: Infinity,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/groups/{groupId}/sheets/{date}/{kind}', {
          params: { path: { schoolId, groupId, date, kind }, query: { level, seed } },
        }),
      ),
  });
