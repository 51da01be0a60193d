import type { TextItem } from '../../lesson/kinds';

/** So many letters can be read from the back of the room on one screen. */
const ON_A_PAGE = 170;

/** The places of a text's sentences, page by page; a sentence is never cut. */
export function pagesOf(item: TextItem): number[][] {
  const pages: number[][] = [];
  let letters = Infinity;
  item.sentences.forEach((sentence, i) => {
    if (letters + sentence.text.length > ON_A_PAGE) {
      pages.push([]);
      letters = 0;
    }
    letters += sentence.text.length;
    pages[pages.length - 1]!.push(i);
  });
  return pages;
}

/** True where today's letters are looked for in a text. */
export const isHuntedText = (item: TextItem) =>
  item.sentences.some((s) => s.words.some((w) => w.hunt?.some((p) => p.isTarget)));
