import type { ReadingView } from '@bright-sprout/contract/record';

/** What can wait on a device to be sent. */
export const OUTBOX_ROUTES = [
  'keepReading',
  'keepPot',
  'keepCare',
  'keepOwnCare',
  'keepEntry',
  'keepOwnEntry',
] as const;

/** Something made here and not yet known to be stored. It is sent under the id it was made with. */
export interface OutboxItem {
  readonly id: string;
  /** Who it belongs to: a teacher or a class; others who use this device do not send it. */
  readonly owner: string;
  readonly experimentId: string;
  readonly route: (typeof OUTBOX_ROUTES)[number];
  readonly params: Readonly<Record<string, string>>;
  readonly body: object;
  /** The student who made it; `null` for a teacher. */
  readonly studentId: string | null;
  /** By this device's clock. */
  readonly madeAt: string;
  /** In a few words, for the list of what waits. */
  readonly label: string;
  /** Shown in its place until it is stored. */
  readonly reading: ReadingView | null;
  /** Why the server refused it; `null` while it only waits. */
  readonly problem: string | null;
}
