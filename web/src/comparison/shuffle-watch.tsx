import { say } from '@bright-sprout/words/comparison';
import { shuffleWords } from '@bright-sprout/core/words';
import { type Remote, wrap } from 'comlink';
import { Suspense, useEffect, useMemo, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { ChartCard, shuffleFigure } from '../shared/charts/index.ts';
import { type ShownComparison, useChoices } from './compare-context.tsx';
import type { Shuffling } from './shuffle.worker.ts';

const SEED = 1935;
const MOST = 2000;
const PAUSE_MS = 60;
/** Shuffles of each round: slow at first, so that single ones can be followed. */
const ROUNDS = [1, 1, 1, 1, 1, 2, 2, 5, 5, 10, 20, 50] as const;
const LAST_ROUND = 100;

function isStill(): boolean {
  return window.matchMedia('(prefers-reduced-motion: reduce)').matches;
}

/** The shuffling test watched: labels are mixed again and again while the pile of differences grows. */
export function ShuffleWatch({ shown }: { shown: ShownComparison }) {
  const { comparison, style, groups } = shown;
  const { level } = useChoices();
  const pair = comparison.mainPair === null ? undefined : comparison.pairs[comparison.mainPair];
  const valuesOf = (id: string | undefined): number[] =>
    comparison.groups.find((group) => group.groupId === id)?.points.map((point) => point.value) ?? [];
  const [first, second] = [valuesOf(pair?.firstId), valuesOf(pair?.secondId)];
  const key = JSON.stringify([first, second]);
  const watch = useShuffles(key);
  const observed = pair?.difference.defined ? pair.difference.value : 0;
  const all = [...first, ...second];
  const reach =
    all.length > 0 ? Math.max(Math.abs(observed) * 1.25, (Math.max(...all) - Math.min(...all)) * 0.8) : 1;
  const figure = useMemo(
    () => shuffleFigure(watch.differences, observed, style, reach),
    [watch.differences, observed, style, reach],
  );
  if (!pair?.difference.defined || all.length < 4 || first.length === 0 || second.length === 0) return null;
  const nameOf = (id: string): string => groups.find((group) => group.id === id)?.name ?? '';
  const count = watch.differences.length;
  const asLarge = watch.differences.filter((value) => Math.abs(value) >= Math.abs(observed) - 1e-9).length;
  return (
    <section className="panel shuffle-watch" aria-label={say('couldItBeLuckShuffleAndSee')}>
      <div className="chart-head">
        <h3>{say('couldItBeLuckShuffleAndSee')}</h3>
        <div className="chart-tools">
          {watch.isRunning ? (
            <Button size="sm" variant="light" onClick={watch.stop}>
              {say('stop')}
            </Button>
          ) : (
            <Button size="sm" onClick={watch.start}>
              {count === 0 ? say('shuffleTheLabels') : count < MOST ? say('goOn') : say('again')}
            </Button>
          )}
        </div>
      </div>
      <p>
        {level === '5-7' || level === '8-10'
          ? say('imagineTheLabelsAndFellOffAnd', {
              nameOf: nameOf(pair.firstId),
              nameOf2: nameOf(pair.secondId),
            })
          : say('ifDidTheSameAsTheLabels', { nameOf: nameOf(pair.secondId), nameOf2: nameOf(pair.firstId) })}
      </p>
      <p role="status" aria-live="polite" className="shuffle-count">
        {shuffleWords(asLarge, count)}
      </p>
      {count > 0 && (
        <Suspense fallback={null}>
          <ChartCard
            title={say('pileOfShuffledDifferences')}
            label={say('histogramOfDifferencesAfterShuffling')}
            figure={figure}
            table={{
              columns: [say('shuffle'), say('difference')],
              rows: watch.differences.map((value, at) => [at + 1, value]),
            }}
          />
        </Suspense>
      )}
    </section>
  );
}

/** Draws shuffles in a worker, round by round, until there are enough or somebody stops it. */
function useShuffles(key: string) {
  const [differences, setDifferences] = useState<readonly number[]>([]);
  const [isRunning, setIsRunning] = useState(false);
  const worker = useRef<{ ask: Remote<Shuffling>; end: () => void }>(undefined);
  const [shuffledKey, setShuffledKey] = useState(key);
  if (shuffledKey !== key) {
    setShuffledKey(key);
    setDifferences([]);
    setIsRunning(false);
  }
  useEffect(() => () => worker.current?.end(), []);

  useEffect(() => {
    if (!isRunning) return;
    let isWanted = true;
    const [first, second] = JSON.parse(key) as [number[], number[]];
    const run = async (): Promise<void> => {
      worker.current ??= shufflingWorker();
      let made: readonly number[] = differences.length < MOST ? differences : [];
      for (let round = 0; made.length < MOST && isWanted; round += 1) {
        const draws = isStill() ? MOST - made.length : (ROUNDS[round] ?? LAST_ROUND);
        const found = await worker.current.ask.draw(first, second, draws, SEED + made.length);
        made = [...made, ...found].slice(0, MOST);
        // React keeps what was true when the effect began; only a stop may end it.
        // oxlint-disable-next-line typescript/no-unnecessary-condition
        if (!isWanted) return;
        setDifferences(made);
        await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
      }
      setIsRunning(false);
    };
    void run();
    return () => {
      isWanted = false;
    };
    // Restarted by the button only: the differences it begins with are those of that moment.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [isRunning, key]);

  return { differences, isRunning, start: () => setIsRunning(true), stop: () => setIsRunning(false) };
}

function shufflingWorker(): { ask: Remote<Shuffling>; end: () => void } {
  const worker = new Worker(new URL('./shuffle.worker.ts', import.meta.url), { type: 'module' });
  return { ask: wrap<Shuffling>(worker), end: () => worker.terminate() };
}
