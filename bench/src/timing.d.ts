/** The middle of some times, in ms. */
export declare function median(times: readonly number[]): number;
/** The time that a share `p` of the calls stayed below, in ms. */
export declare function quantile(times: readonly number[], p: number): number;
/** Times of two pieces of work, in ms. */
export interface Pair {
    readonly first: number[];
    readonly second: number[];
}
/** Times two pieces of work turn by turn, so that both meet the same machine. */
export declare function sideBySide(rounds: number, first: () => Promise<unknown>, second: () => Promise<unknown>): Promise<Pair>;
