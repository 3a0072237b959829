import { setTimeout as wait } from 'node:timers/promises';

/** Runs what comes under one key one after the other, with a pause before each. */
export class SlowLane {
  readonly #lanes = new Map<string, { last: Promise<unknown>; waiting: number }>();

  /**
   * @param pauseMs before each run
   * @param most of one key that may wait at a time
   */
  constructor(
    private readonly pauseMs: number,
    private readonly most: number,
  ) {}

  /** Waits for its turn and runs; undefined where too many of this key wait already. */
  run<T>(key: string, work: () => Promise<T>): Promise<T> | undefined {
    const lane = this.#lanes.get(key) ?? { last: Promise.resolve(), waiting: 0 };
    if (lane.waiting >= this.most) return undefined;
    lane.waiting += 1;
    this.#lanes.set(key, lane);
    const turn = lane.last.then(() => wait(this.pauseMs)).then(work);
    lane.last = turn
      .catch(() => undefined)
      .then(() => {
        lane.waiting -= 1;
        if (lane.waiting === 0) this.#lanes.delete(key);
      });
    return turn;
  }
}
