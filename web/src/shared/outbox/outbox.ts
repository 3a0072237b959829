import { say } from '@bright-sprout/words/interface';
import { ROUTES } from '@bright-sprout/contract/routes';
import { ApiFailure, send, timeFor } from '../api/index.ts';
import { type DeviceStore, deviceStore, type OutboxItem, upToDate } from '../offline/index.ts';
import { PictureSender } from './picture-sender.ts';

/** What became of something that was just put in. */
export type PutResult<Answer = unknown> =
  | { readonly isSent: true; readonly answer: Answer }
  | { readonly isSent: false };

const AGAIN_MS = 15_000;

/** Codes that speak of the way to the server, or of who is at the device, and not of what was made. */
const TRANSIENT: readonly string[] = [
  'server_error',
  'database_unavailable',
  'storage_full',
  'too_busy',
  'took_too_long',
  'not_signed_in',
  'not_joined',
  'no_student',
  'too_many_tries',
  'upload_incomplete',
];

/** Routes that say by themselves who is meant. */
const WITHOUT_MAKER: readonly string[] = ['chooseStudent', 'keepPractice'];

/** Routes of which the last that was made counts, so that none may pass another. */
const CHANGES_OF_MIND: readonly string[] = [
  'tick',
  'tickPot',
  'chooseStudent',
  'keepPrediction',
  'keepOwnPrediction',
  'keepOwnVote',
];

/**
 * Keeps what is made on the device until the server has it. Every item is written down before it is sent, and is held in
 * memory where the device refuses to write; the server stores the same id once, so sending again is safe, from another
 * tab too. Readings and words go first: a picture on a slow line holds nothing up.
 */
export class Outbox {
  readonly #store: DeviceStore;
  readonly #pictures: PictureSender;
  readonly #listeners = new Set<() => void>();
  readonly #sentListeners = new Set<(item: OutboxItem) => void>();
  /** What the device's store did not take. */
  readonly #unwritten = new Map<string, OutboxItem>();
  /** Items on their way at this moment. */
  readonly #onTheWay = new Set<string>();
  /** What takes over the answer of an item that was put in on this page. */
  readonly #takers = new Map<string, (answer: unknown) => void>();
  #channel: BroadcastChannel | undefined;
  #items: readonly OutboxItem[] = [];
  #owner: string | undefined;
  #flushing: Promise<void> | undefined;
  #isAskedAgain = false;

  constructor(store: DeviceStore = deviceStore()) {
    this.#store = store;
    this.#pictures = new PictureSender(store, () => this.#tell());
    void this.#read();
  }

  /** Everything that waits, the oldest first. */
  items = (): readonly OutboxItem[] => this.#items;

  /** True while something is held in memory only, and would be lost with this page. */
  isUnsafe = (): boolean => this.#unwritten.size > 0;

  /** How much of an item's picture has arrived, 0–1; undefined when it has none on its way. */
  progressOf(id: string): number | undefined {
    return this.#pictures.progressOf(id);
  }

  /** Calls `listener` after each change, until the function given back is called. */
  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Calls `listener` for each item that was stored late. */
  onSent(listener: (item: OutboxItem) => void): () => void {
    this.#sentListeners.add(listener);
    return () => this.#sentListeners.delete(listener);
  }

  /** Says who is at the device and tries to send what waits of theirs, now and whenever the network is back. */
  openFor(owner: string): () => void {
    this.#owner = owner;
    const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('outbox');
    channel?.addEventListener('message', () => void this.#read());
    this.#channel = channel;
    const again = (): void => void this.flush();
    const timer = setInterval(again, AGAIN_MS);
    globalThis.addEventListener('online', again);
    again();
    return () => {
      clearInterval(timer);
      globalThis.removeEventListener('online', again);
      channel?.close();
      if (this.#channel === channel) this.#channel = undefined;
      if (this.#owner === owner) this.#owner = undefined;
    };
  }

  /**
   * Writes an item down and tries to send it. A picture goes by itself; and behind others that wait an item keeps its
   * place, as it may build on them.
   * @param onAnswer takes over what the server answered before the item leaves, so that it is never out of sight
   * @throws ApiFailure when the server refuses it; it is then not kept, as its words are still on the screen
   */
  async put(item: OutboxItem, onAnswer?: (answer: unknown) => void): Promise<PutResult> {
    const isBehind = this.#items.some((one) => this.#isAhead(one, item));
    await this.#write(item);
    if (onAnswer) this.#takers.set(item.id, onAnswer);
    if (item.picture !== null || isBehind) {
      void this.flush();
      return { isSent: false };
    }
    try {
      const answer = await this.#sendAndRemove(item);
      if (this.#items.length > 0) void this.flush();
      return { isSent: true, answer };
    } catch (thrown) {
      if (isTransient(thrown)) return { isSent: false };
      await this.#remove(item.id);
      throw thrown;
    }
  }

  /** Sends what waits, in the order it was made; once at a time, and where the browser can tell, in one tab. */
  flush(): Promise<void> {
    if (this.#flushing) this.#isAskedAgain = true;
    this.#flushing ??= this.#alone().finally(() => {
      this.#flushing = undefined;
      if (!this.#isAskedAgain) return;
      this.#isAskedAgain = false;
      void this.flush();
    });
    return this.#flushing;
  }

  /** Tries an item again that the server refused. */
  async retry(item: OutboxItem): Promise<void> {
    await this.#write({ ...item, problem: null });
    await this.flush();
  }

  /** Gives an item up. */
  async discard(id: string): Promise<void> {
    await this.#remove(id);
  }

  async #alone(): Promise<void> {
    if (typeof navigator === 'undefined' || !('locks' in navigator)) return this.#flush();
    await navigator.locks.request('outbox', { ifAvailable: true }, (lock) =>
      lock ? this.#flush() : undefined,
    );
  }

  async #flush(): Promise<void> {
    await this.#read();
    const own = this.#items.filter(
      (one) => one.owner === this.#owner && one.problem === null && !this.#onTheWay.has(one.id),
    );
    const isLost = await this.#sendAll(own.filter((one) => one.picture === null));
    if (!isLost) await this.#sendAll(own.filter((one) => one.picture !== null));
  }

  /** Gives true when there was no way to the server, so that the rest need not be tried. */
  async #sendAll(items: readonly OutboxItem[]): Promise<boolean> {
    for (const item of items) {
      if (this.#items.some((one) => this.#onTheWay.has(one.id) && this.#isAhead(one, item))) continue;
      try {
        await this.#sendAndRemove(item);
        for (const listener of this.#sentListeners) listener(item);
      } catch (thrown) {
        if (isLost(thrown)) return true;
        if (isTransient(thrown)) continue;
        const problem = thrown instanceof Error ? thrown.message : say('itWasRefused');
        await this.#write({ ...item, problem });
      }
    }
    return false;
  }

  /** True when an item waits that another one, made after it, must not pass. */
  #isAhead(earlier: OutboxItem, item: OutboxItem): boolean {
    if (earlier.owner !== item.owner || earlier.problem !== null || earlier.picture !== null) return false;
    return (
      !this.#onTheWay.has(earlier.id) ||
      (CHANGES_OF_MIND.includes(item.route) && earlier.route === item.route)
    );
  }

  async #sendAndRemove(item: OutboxItem): Promise<unknown> {
    this.#onTheWay.add(item.id);
    try {
      const answer = await this.#send(item);
      this.#takers.get(item.id)?.(answer);
      await this.#remove(item.id);
      return answer;
    } finally {
      this.#onTheWay.delete(item.id);
    }
  }

  /** Sends one item; what a student made says by whom and when. */
  async #send(item: OutboxItem): Promise<unknown> {
    const { route, params, body, studentId, madeAt, picture } = item;
    const sent = picture === null ? {} : { picture: await this.#pictures.send(item, picture) };
    const made =
      studentId === null || WITHOUT_MAKER.includes(route)
        ? {}
        : { made: { studentId, madeAt, sentAt: new Date().toISOString() } };
    const answer = await send(ROUTES[route], {
      params,
      body: { ...body, ...sent, ...made },
      signal: AbortSignal.timeout(timeFor(0)),
    }).catch(async (thrown: unknown) => {
      const isIncomplete = thrown instanceof ApiFailure && thrown.body.code === 'upload_incomplete';
      if (isIncomplete) await this.#pictures.forget(item.id);
      throw thrown;
    });
    await this.#pictures.forget(item.id);
    return answer;
  }

  async #write(item: OutboxItem): Promise<void> {
    try {
      await this.#store.putItem(item);
      this.#unwritten.delete(item.id);
    } catch {
      this.#unwritten.set(item.id, item);
    }
    await this.#changed();
  }

  async #remove(id: string): Promise<void> {
    this.#unwritten.delete(id);
    this.#takers.delete(id);
    await this.#store.removeItem(id).catch(() => undefined);
    await this.#pictures.forget(id);
    await this.#changed();
  }

  async #changed(): Promise<void> {
    await this.#read();
    this.#channel?.postMessage('changed');
  }

  async #read(): Promise<void> {
    const written = await this.#store.items().catch(() => this.#items);
    const items = new Map(written.map((item) => [item.id, upToDate(item)]));
    for (const [id, item] of this.#unwritten) items.set(id, item);
    this.#items = [...items.values()].sort(
      (a, b) => a.madeAt.localeCompare(b.madeAt) || a.id.localeCompare(b.id),
    );
    this.#tell();
  }

  #tell(): void {
    for (const listener of this.#listeners) listener();
  }
}

function isTransient(thrown: unknown): boolean {
  return thrown instanceof ApiFailure && TRANSIENT.includes(thrown.body.code);
}

/** No way to the server, so that the rest need not be tried. */
function isLost(thrown: unknown): boolean {
  const isOfOne = thrown instanceof ApiFailure && ONE_ITEMS.includes(thrown.body.code);
  return isTransient(thrown) && !isOfOne;
}

/** Codes that speak of one item or one student: others may still go through. */
const ONE_ITEMS: readonly string[] = ['no_student', 'upload_incomplete', 'took_too_long'];
