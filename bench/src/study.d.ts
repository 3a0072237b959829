import type mysql from 'mysql2/promise';
import type { ApiClient } from './client.ts';
import { type Pair } from './timing.ts';
/** A pooled study against the SQL that fetches it. */
export interface StudyBench {
    readonly readings: number;
    readonly times: Pair;
}
/** Makes `runs` experiments of one plan, two treatments each, read every day. Gives their ids. */
export declare function makeRuns(connection: mysql.Connection, question: string, { runs, units, days }: {
    runs: number;
    units: number;
    days: number;
}): Promise<string[]>;
/** Pools ten classes of 100 pots read on 100 days. */
export declare function study(client: ApiClient, connection: mysql.Connection): Promise<StudyBench>;
