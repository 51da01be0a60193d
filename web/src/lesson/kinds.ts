import type { Schemas } from '../api/client';

export type LessonView = Schemas['LessonView'];
export type Activity = Schemas['Activity'];
export type Item = Schemas['Item'];
export type WordItem = Schemas['ItemWordItem'];
export type CardItem = Schemas['ItemCardItem'];
export type MadeUpItem = Schemas['ItemMadeUpItem'];
export type SortItem = Schemas['ItemSortItem'];
/** The words of its sentences are those of any sentence; the API's document loses them so deep inside. */
export type TextItem = Omit<Schemas['ItemTextItem'], 'sentences'> & { sentences: SentenceItem[] };
export type MissingWordItem = Schemas['ItemMissingWordItem'];
export type PromptItem = Schemas['ItemPromptItem'];
export type ScrambleItem = Schemas['ItemScrambleItem'];
export type PatternItem = Schemas['ItemPatternItem'];
export type PatternModel = Schemas['PatternModel'];
export type PairItem = Schemas['ItemPairItem'];
export type HuntItem = Schemas['ItemHuntItem'];
export type SceneItem = Schemas['ItemSceneItem'];
export type SentenceItem = Schemas['ItemSentenceItem'];
export type GapItem = Schemas['ItemGapItem'];
export type SpellingsItem = Schemas['ItemSpellingsItem'];
export type CrosswordItem = Schemas['ItemCrosswordItem'];
export type Verdict = Schemas['VerdictView'];
export type ActivityKind = Activity['kind'];
export type PartKind = LessonView['lesson']['parts'][number]['kind'];
export type Command = Schemas['LessonCommand'];
export type Closing = Schemas['CloseRequest'];

/**
 * Stands where every kind of item was shown: a kind that the server has and a screen does not know does not compile.
 */
export const notShown = (kind: undefined): null => kind ?? null;

/** The cards among items. */
export const cardsOf = (items: readonly Item[]) => items.filter((i): i is CardItem => i.$type === 'card');

/** Whole minutes to show for a stretch of the lesson, at least one. */
export const minutesOf = (seconds: number) => Math.max(1, Math.round(seconds / 60));
