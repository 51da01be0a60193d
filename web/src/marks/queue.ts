import type { Schemas } from '../api/client';

export type MarkGiven = Schemas['MarkGiven'];
export type MarkAnswer = Schemas['MarkAnswer'];

/** A mark that waits to be sent, with the lesson it is of. */
export interface Waiting {
  lessonId: string;
  mark: MarkGiven;
}

/** A mark that the server did not keep, and why. */
export interface Refused extends Waiting {
  reason: string;
}

/** What a queue keeps: nothing but ids, words and what was seen; no name. */
export interface Kept {
  waiting: Waiting[];
  refused: Refused[];
}

type Send = (lessonId: string, marks: MarkGiven[]) => Promise<MarkAnswer[]>;

const AT_ONCE = 100;
const NOTHING: Kept = { waiting: [], refused: [] };

function readKept(text: string): Kept {
  try {
    return { ...NOTHING, ...(JSON.parse(text) as Partial<Kept>) };
  } catch {
    return NOTHING;
  }
}

/**
 * Marks on their way: each is written down here before anything else, sent in the order in which it was made, and taken
 * out once the server has said what became of it. It lives through a reload and a closed browser; sent twice, a mark
 * counts once, by its id.
 */
export class MarkQueue {
  private sending = false;
  private read: { text: string; kept: Kept } = { text: '{}', kept: NOTHING };
  private readonly listeners = new Set<() => void>();

  constructor(
    private readonly store: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>,
    private readonly key: string,
    private readonly send: Send,
  ) {}

  /** What is kept; the same object while nothing changed, in this tab or another. */
  get kept(): Kept {
    const text = this.store.getItem(this.key) ?? '{}';
    if (text !== this.read.text) this.read = { text, kept: readKept(text) };
    return this.read.kept;
  }

  /** Takes a mark; it is safe once this returns. */
  add(lessonId: string, mark: MarkGiven) {
    const kept = this.kept;
    this.keep({ ...kept, waiting: [...kept.waiting, { lessonId, mark }] });
  }

  /** Sends what waits; true when nothing waits any more. */
  async flush(): Promise<boolean> {
    if (this.sending) return false;
    this.sending = true;
    try {
      for (let waiting = this.kept.waiting; waiting.length > 0; waiting = this.kept.waiting) {
        const { lessonId } = waiting[0]!;
        const part = waiting.filter((w) => w.lessonId === lessonId).slice(0, AT_ONCE);
        this.settle(
          lessonId,
          await this.send(
            lessonId,
            part.map((w) => w.mark),
          ),
        );
      }
      return true;
    } catch {
      return false;
    } finally {
      this.sending = false;
    }
  }

  /** What could not be kept was read. */
  forgetRefused() {
    this.keep({ ...this.kept, refused: [] });
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private settle(lessonId: string, answers: MarkAnswer[]) {
    const by = new Map(answers.map((a) => [a.id, a]));
    // An answer that says nothing of what was sent would be sent for ever.
    if (answers.length === 0) throw new Error('No mark was answered.');
    const kept = this.kept;
    const refused = kept.waiting
      .filter((w) => w.lessonId === lessonId && by.get(w.mark.id)?.fate === 'refused')
      .map((w) => ({ ...w, reason: by.get(w.mark.id)!.reason ?? '' }));
    this.keep({
      waiting: kept.waiting.filter((w) => !by.has(w.mark.id)),
      refused: [...kept.refused, ...refused],
    });
  }

  private keep(kept: Kept) {
    if (kept.waiting.length === 0 && kept.refused.length === 0) this.store.removeItem(this.key);
    else this.store.setItem(this.key, JSON.stringify(kept));
    this.listeners.forEach((l) => l());
  }
}
