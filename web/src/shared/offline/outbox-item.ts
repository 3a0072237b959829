import type { ReadingView } from '@bright-sprout/contract/readings';
import type { ROUTES } from '@bright-sprout/contract/routes';
import type { ParamsOf, Route } from '@bright-sprout/contract/shared';

/** What can wait on a device to be sent. */
export const OUTBOX_ROUTES = [
  'chooseStudent',
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
  'keepPractice',
  'keepOwnVote',
] as const;
export type OutboxRoute = (typeof OUTBOX_ROUTES)[number];

type Sent<Name extends OutboxRoute> =
  (typeof ROUTES)[Name] extends Route<infer Path, infer Body, never, infer Answer>
    ? {
        readonly params: Readonly<Record<ParamsOf<Path>, string>>;
        readonly body: Body;
        readonly answer: Answer;
      }
    : never;

/** What the server answers to one kind of item. */
export type AnswerTo<Name extends OutboxRoute> = Sent<Name>['answer'];

/** What is made: a reading, a tick, care, a picture, a guess; each kind with the request that keeps it. */
export interface Made<Name extends OutboxRoute> {
  readonly route: Name;
  readonly params: Sent<Name>['params'];
  readonly body: Sent<Name>['body'];
}

/** How it waits, whatever it is. */
export interface Waiting {
  readonly id: string;
  /** Who it belongs to: a teacher or a class; others who use this device do not send it. */
  readonly owner: string;
  /** Empty when it is of no experiment. */
  readonly experimentId: string;
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

/** Something made here and not yet known to be stored. It is sent under the id it was made with. */
export type OutboxItem = { [Name in OutboxRoute]: Made<Name> & Waiting }[OutboxRoute];

/** An item as it is sent now, whatever version of this page wrote it down. */
export function upToDate(item: OutboxItem): OutboxItem {
  return OLDER.reduce((before, change) => change(before), item);
}

type AnyItem = Omit<OutboxItem, 'route' | 'body'> & { readonly route: string; readonly body: object };

/** What changed from version to version of what is written down, the oldest first. */
const OLDER: readonly ((item: OutboxItem) => OutboxItem)[] = [
  pictureBesideBody,
  standardNames,
  emergedStates,
];

function pictureBesideBody(item: OutboxItem): OutboxItem {
  const { picture = null, ...body } = item.body as { picture?: unknown };
  if (typeof picture !== 'string') return item;
  return { ...item, body: { ...body, picture: null }, picture } as OutboxItem;
}

function standardNames(item: OutboxItem): OutboxItem {
  const { route, body } = item as AnyItem;
  if (route === 'chooseTile') return { ...item, route: 'chooseStudent' } as OutboxItem;
  if (!('words' in body)) return item;
  const { words, ...rest } = body;
  const kind = 'kind' in rest && rest.kind === 'words' ? { kind: 'note' } : {};
  return { ...item, body: { ...rest, ...kind, note: words } } as unknown as OutboxItem;
}

const EMERGED: Readonly<Record<string, string>> = { up: 'emerged', not_up: 'not_emerged' };

function emergedStates(item: OutboxItem): OutboxItem {
  const renamed = <T extends object | null>(about: T): T => {
    const older = about !== null && 'state' in about ? EMERGED[String(about.state)] : undefined;
    return older === undefined ? about : { ...about, state: older };
  };
  const [body, reading] = [renamed(item.body), renamed(item.reading)];
  return body === item.body && reading === item.reading ? item : ({ ...item, body, reading } as OutboxItem);
}
