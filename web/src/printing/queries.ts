import { queryOptions } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';

export type PaperSheet = Schemas['PaperSheet'];
export type SheetKind = PaperSheet['kind'];
export type SheetLevel = PaperSheet['level'];
export type Card = Schemas['Card'];
export type CardKind = Card['kind'];
export type CardSide = Schemas['CardSide'];
export type CardGrid = Schemas['CardGrid'];
export type LessonPack = Schemas['LessonPack'];
export type Booklet = Schemas['Booklet'];
export type BookletKind = Booklet['kind'];

/** A day of a group. */
export interface Day {
  schoolId: string;
  groupId: string;
  date: string;
}

/** What sheets are about: the day, its week, a rung, or words that were typed. */
export interface About {
  span?: string;
  rung?: string;
  words?: string;
}

const path = ({ schoolId, groupId, date }: Day) => ({ schoolId, groupId, date });

/** The sheets that can be made. */
export const sheetsQuery = (day: Day, about: About) =>
  queryOptions({
    queryKey: ['sheets', day, about],
    staleTime: 0,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/groups/{groupId}/sheets/{date}', {
          params: { path: path(day), query: about },
        }),
      ),
  });

/** One of them: the same for the same seed. */
export const sheetQuery = (day: Day, about: About, kind: SheetKind, level: SheetLevel, seed: number) =>
  queryOptions({
    queryKey: ['sheet', day, about, kind, level, seed],
    staleTime: Infinity,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/groups/{groupId}/sheets/{date}/{kind}', {
          params: { path: { ...path(day), kind }, query: { level, seed, ...about } },
        }),
      ),
  });

/** Which cards, how large, and what is behind them. */
export interface CardsWanted {
  kind: string;
  source: string;
  size: string;
  backs: boolean;
  copies: number;
  words?: string;
}

export const cardsQuery = (day: Day, wanted: CardsWanted) =>
  queryOptions({
    queryKey: ['cards', day, wanted],
    staleTime: 0,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/groups/{groupId}/cards/{date}', {
          params: { path: path(day), query: { ...wanted } },
        }),
      ),
  });

/** A booklet to fold; another seed is another text. */
export const bookletQuery = (day: Day, kind: string, seed: number) =>
  queryOptions({
    queryKey: ['booklet', day, kind, seed],
    staleTime: 0,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/groups/{groupId}/booklets/{date}', {
          params: { path: path(day), query: { kind, seed } },
        }),
      ),
  });

/** What families get of a lesson. */
export const homeQuery = (day: Day) =>
  queryOptions({
    queryKey: ['home', day],
    staleTime: 0,
    queryFn: () =>
      answered(client.GET('/api/schools/{schoolId}/groups/{groupId}/home/{date}', { params: { path: path(day) } })),
  });

/** A group's whole ladder. */
export const wallQuery = (day: Day) =>
  queryOptions({
    queryKey: ['wall', day],
    staleTime: 0,
    queryFn: () =>
      answered(client.GET('/api/schools/{schoolId}/groups/{groupId}/wall/{date}', { params: { path: path(day) } })),
  });

/** All the paper of one lesson. */
export const lessonPackQuery = (day: Day) =>
  queryOptions({
    queryKey: ['lesson-pack', day],
    staleTime: 0,
    queryFn: () =>
      answered(client.GET('/api/schools/{schoolId}/groups/{groupId}/pack/{date}', { params: { path: path(day) } })),
  });

/** What a week needs on paper, without what is in the box. */
export const packQuery = (schoolId: string, date: string, size: string, group: string | undefined) =>
  queryOptions({
    queryKey: ['pack', schoolId, date, size, group],
    staleTime: 0,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/packs/{date}', {
          params: { path: { schoolId, date }, query: { size, ...(group && { group }) } },
        }),
      ),
  });
