import type { ReadingView } from '@bright-sprout/contract/record';

/** What can wait on a device to be sent. */
export const OUTBOX_ROUTES = [
  'chooseTile',
  'keepReading',
  'keepPot',
  'keepCare',
  'keepOwnCare',
  'keepEntry',
  'keepOwnEntry',
  'tick',
  'tickPot',
  'keepPrediction',
  'keepOwnPrediction',
  'keepConclusion',
  'keepOwnConclusion',
] as const;

/** Something made here and not yet known to be stored. It is sent under the id it was made with. */
export interface OutboxItem {
  readonly id: string;
  /** Who it belongs to: a teacher or a class; others who use this device do not send it. */
  readonly owner: string;
  /** Empty when it is of no experiment. */
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
  /** A picture as JPEG in base64, sent in parts before the rest. */
  readonly picture: string | null;
  /** Why the server refused it; `null` while it only waits. */
  readonly problem: string | null;
}

/** An item as an earlier version of this page wrote it down. */
export function upToDate(item: OutboxItem): OutboxItem {
  const { picture = null, ...body } = item.body as { picture?: unknown };
  if (typeof picture !== 'string') return item;
  return { ...item, body: { ...body, picture: null }, picture };
}
