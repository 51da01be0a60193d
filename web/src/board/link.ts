import { isState, type BoardEvent, type BoardState } from './state';

/** What windows of one lesson say to each other. */
type Message =
  | { is: 'hello' }
  | { is: 'over' }
  | { is: 'state'; state: BoardState }
  | { is: 'event'; event: BoardEvent; after: number; by: string; of: string };

/** As much of a channel as is needed; tests bring their own. */
export interface Channel {
  postMessage(message: unknown): void;
  close(): void;
  onmessage: ((message: MessageEvent) => void) | null;
}

interface Options {
  lessonId: string;
  /** Which lesson this window has, by its content. */
  of: string;
  /** Keeps the lesson as it is now: from its first event the board goes by it, whatever becomes of it elsewhere. */
  keep: () => void;
  first: BoardState;
  reduce: (state: BoardState, event: BoardEvent) => BoardState;
  onChange: (state: BoardState) => void;
  channel: Channel | null;
  store: Pick<Storage, 'getItem' | 'setItem'> | null;
  id?: string;
}

const PREFIX = 'bold-board:';

/** After so long nobody goes on where they were. */
const A_LESSON = 4 * 3_600_000;

/**
 * Keeps the windows of a lesson at the same place, and the place through a reload: each event is carried out here, kept,
 * and told to the others, who carry it out too. Who missed one, or is new, asks for the whole. Nothing goes to the
 * server.
 */
export class BoardLink {
  state: BoardState;
  /** True once the browser could not keep the place: then a reload would lose it. */
  isUnkept = false;
  private readonly id: string;

  constructor(private readonly options: Options) {
    this.id = options.id ?? crypto.randomUUID();
    this.state = keptState(options.store, options.lessonId) ?? options.first;
    if (options.channel) {
      options.channel.onmessage = (message) => this.hear(message.data as Message);
      this.say({ is: 'hello' });
    }
  }

  /** Something that happened in this window. */
  happen(event: BoardEvent) {
    const after = this.state.version;
    if (this.state.of === '' || event.is === 'renewed') this.options.keep();
    this.take(this.options.reduce(this.about(this.options.of), event));
    this.say({ is: 'event', event, after, by: this.id, of: this.state.of });
  }

  close() {
    this.options.channel?.close();
  }

  private hear(message: Message) {
    if (message.is === 'over') {
      this.state = this.options.first;
      this.options.onChange(this.state);
    } else if (message.is === 'hello') {
      if (this.isOver(this.state)) {
        this.state = this.options.first;
        this.options.onChange(this.state);
      } else if (this.state.version > 0) this.say({ is: 'state', state: this.state });
    } else if (message.is === 'state') {
      if (!isState(message.state) || message.state.version <= this.state.version) return;
      if (this.isOver(message.state)) this.say({ is: 'over' });
      else this.take(message.state);
    } else if (message.after === this.state.version) {
      this.take(this.options.reduce(this.about(message.of), message.event));
    } else if (message.after > this.state.version) {
      this.say({ is: 'hello' });
    } else if (this.id < message.by) {
      // Both did something at the same moment: the one of the two that comes first by name is right.
      this.take({ ...this.state, version: Math.max(this.state.version, message.after + 1) + 1 });
      this.say({ is: 'state', state: this.state });
    }
  }

  /** True for where a lesson was that is over by now: a window that missed that does not bring it back. */
  private isOver(state: BoardState): boolean {
    return state.began !== null && state.began <= overAt(this.options.store, this.options.lessonId);
  }

  /** The state, about a lesson from its first event on. */
  private about(of: string): BoardState {
    return this.state.of === '' ? { ...this.state, of } : this.state;
  }

  private take(state: BoardState) {
    this.state = state;
    try {
      this.options.store?.setItem(PREFIX + this.options.lessonId, JSON.stringify(state));
      this.isUnkept = false;
    } catch {
      this.isUnkept = true;
    }
    this.options.onChange(state);
  }

  private say(message: Message) {
    this.options.channel?.postMessage(message);
  }
}

/** Where places are kept; null in a browser that keeps nothing. */
export function storeHere(): Storage | null {
  try {
    return window.localStorage;
  } catch {
    return null;
  }
}

const OVER = 'bold-board-over:';

/** When a lesson's board was left at its end, in milliseconds; 0 where it was not. */
function overAt(store: Options['store'], lessonId: string): number {
  try {
    return Number(store?.getItem(OVER + lessonId) ?? 0);
  } catch {
    return 0;
  }
}

/** Where a lesson was when its windows were closed; null where nothing is known of that. */
export function keptState(store: Options['store'], lessonId: string): BoardState | null {
  try {
    const kept: unknown = JSON.parse(store?.getItem(PREFIX + lessonId) ?? 'null');
    const isNow = isState(kept) && Date.now() - (kept.since ?? 0) < A_LESSON;
    return isNow && !(kept.began !== null && kept.began <= overAt(store, lessonId)) ? kept : null;
  } catch {
    return null;
  }
}

const LESSON = 'bold-board-lesson:';

/** A number for a lesson's content, the same in all windows. */
export function stampOf(lesson: unknown): string {
  let hash = 0x811c9dc5;
  for (const sign of JSON.stringify(lesson)) hash = Math.imul(hash ^ sign.codePointAt(0)!, 0x01000193);
  return (hash >>> 0).toString(36);
}

/** Keeps a lesson as its board was begun with; where nothing can be kept, each window has its own. */
export function keepLesson(store: Options['store'], lessonId: string, of: string, lesson: unknown) {
  try {
    store?.setItem(LESSON + lessonId, JSON.stringify({ of, lesson }));
  } catch {
    // A full store is told of once the place itself can't be kept.
  }
}

/** The lesson that a board was begun with; null where it is not kept. */
export function keptLesson<T>(store: Options['store'], lessonId: string, of: string): T | null {
  try {
    const kept = JSON.parse(store?.getItem(LESSON + lessonId) ?? 'null') as { of: string; lesson: T } | null;
    return kept?.of === of ? kept.lesson : null;
  } catch {
    return null;
  }
}

/** The channel of a lesson's windows; null where the browser has none. */
export const channelOf = (lessonId: string): BroadcastChannel | null =>
  'BroadcastChannel' in window ? new BroadcastChannel(PREFIX + lessonId) : null;

/** A lesson that is over begins anew when it is opened again, in windows that are still open too. */
export function forgetBoard(lessonId: string) {
  const store = storeHere();
  store?.removeItem(PREFIX + lessonId);
  try {
    store?.setItem(OVER + lessonId, String(Date.now()));
  } catch {
    // Then the windows that are open are told, as always.
  }
  store?.removeItem(LESSON + lessonId);
  const channel = channelOf(lessonId);
  channel?.postMessage({ is: 'over' } satisfies Message);
  channel?.close();
}

/** Where boards were: nothing of it stays once who taught has left. */
export function forgetBoards() {
  const store = storeHere();
  for (const key of Object.keys(store ?? {}))
    if ([PREFIX, LESSON, OVER].some((mine) => key.startsWith(mine))) store?.removeItem(key);
}
