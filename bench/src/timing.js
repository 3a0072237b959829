/** Milliseconds that one call took. */
async function timed(work) {
    const start = performance.now();
    await work();
    return performance.now() - start;
}
/** The middle of some times, in ms. */
export function median(times) {
    return quantile(times, 0.5);
}
/** The time that a share `p` of the calls stayed below, in ms. */
export function quantile(times, p) {
    const sorted = [...times].sort((a, b) => a - b);
    return sorted[Math.min(sorted.length - 1, Math.floor(p * sorted.length))] ?? 0;
}
/** Times two pieces of work turn by turn, so that both meet the same machine. */
export async function sideBySide(rounds, first, second) {
    const times = { first: [], second: [] };
    const warmUp = Math.ceil(rounds / 10);
    for (let round = -warmUp; round < rounds; round += 1) {
        const [a, b] = [await timed(first), await timed(second)];
        if (round < 0)
            continue;
        times.first.push(a);
        times.second.push(b);
    }
    return times;
}
//# sourceMappingURL=timing.js.map