import { ROUTES } from '@bright-sprout/contract/routes';
import type { Route } from '@bright-sprout/contract/shared';
import { ApiFailure, call } from '../api/index.ts';
import { type DeviceStore, deviceStore, type OutboxItem } from '../offline/index.ts';

/** What became of something that was just put in. */
export type PutResult = { readonly isSent: true; readonly answer: unknown } | { readonly isSent: false };

const SEND_WITHIN_MS = 8000;
const AGAIN_MS = 15_000;

/** Codes that speak of the way to the server, or of who is at the device, and not of what was made. */
const TRANSIENT: readonly string[] = [
  'server_error',
  'database_unavailable',
  'not_signed_in',
  'not_joined',
  'no_tile',
  'too_many_tries',
];

/**
 * Keeps what is made on the device until the server has it. Every item is written down before it is sent; the
 * server stores the same id once, so sending again is safe, from another tab too.
 */
export class Outbox {
  readonly #store: DeviceStore;
  readonly #listeners = new Set<() => void>();
  readonly #sentListeners = new Set<(item: OutboxItem) => void>();
  #channel: BroadcastChannel | undefined;
  #items: readonly OutboxItem[] = [];
  #owner: string | undefined;
  #flushing: Promise<void> | undefined;

  constructor(store: DeviceStore = deviceStore()) {
    this.#store = store;
    void this.#read();
  }

  /** Everything that waits, the oldest first. */
  items = (): readonly OutboxItem[] => this.#items;

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
   * Writes an item down and tries to send it.
   * @param onAnswer takes over what the server answered before the item leaves, so that it is never out of sight
   * @throws ApiFailure when the server refuses it; it is then not kept, as its words are still on the screen
   */
  async put(item: OutboxItem, onAnswer?: (answer: unknown) => void): Promise<PutResult> {
    await this.#store.putItem(item).catch(() => undefined);
    await this.#changed();
    try {
      const answer = await send(item);
      onAnswer?.(answer);
      await this.#remove(item.id);
      return { isSent: true, answer };
    } catch (thrown) {
      if (isTransient(thrown)) return { isSent: false };
      await this.#remove(item.id);
      throw thrown;
    }
  }

  /** Sends what waits, in the order it was made; once at a time, and where the browser can tell, in one tab. */
  flush(): Promise<void> {
    this.#flushing ??= this.#alone().finally(() => {
      this.#flushing = undefined;
    });
    return this.#flushing;
  }

  /** Tries an item again that the server refused. */
  async retry(item: OutboxItem): Promise<void> {
    await this.#store.putItem({ ...item, problem: null });
    await this.#changed();
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
    for (const item of this.#items.filter((one) => one.owner === this.#owner && one.problem === null)) {
      try {
        await send(item);
        await this.#remove(item.id);
        for (const listener of this.#sentListeners) listener(item);
      } catch (thrown) {
        if (isLost(thrown)) return;
        if (isTransient(thrown)) continue;
        const problem = thrown instanceof Error ? thrown.message : 'It was refused.';
        await this.#store.putItem({ ...item, problem });
        await this.#changed();
      }
    }
  }

  async #remove(id: string): Promise<void> {
    await this.#store.removeItem(id).catch(() => undefined);
    await this.#changed();
  }

  async #changed(): Promise<void> {
    await this.#read();
    this.#channel?.postMessage('changed');
  }

  async #read(): Promise<void> {
    const items = await this.#store.items().catch(() => []);
    this.#items = items.sort((a, b) => a.madeAt.localeCompare(b.madeAt) || a.id.localeCompare(b.id));
    for (const listener of this.#listeners) listener();
  }
}

/** Sends one item; what a student made says by whom and when. */
function send({ route, params, body, studentId, madeAt }: OutboxItem): Promise<unknown> {
  const made = studentId === null ? {} : { made: { studentId, madeAt, sentAt: new Date().toISOString() } };
  const operation: Route = ROUTES[route];
  return call(
    operation as never,
    {
      params,
      body: { ...body, ...made },
      signal: AbortSignal.timeout(SEND_WITHIN_MS),
    } as never,
  );
}

function isTransient(thrown: unknown): boolean {
  return thrown instanceof ApiFailure && TRANSIENT.includes(thrown.body.code);
}

/** No way to the server, so that the rest need not be tried. */
function isLost(thrown: unknown): boolean {
  return isTransient(thrown) && thrown instanceof ApiFailure && thrown.body.code !== 'no_tile';
}
