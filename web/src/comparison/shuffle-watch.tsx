import { say } from '@bright-sprout/words/comparison';
import { type ShuffleQuestion, shuffleQuestion, leastShare } from '@bright-sprout/core/comparison';
import { outOfHundred, shuffleWords } from '@bright-sprout/core/words';
import { type Remote, wrap } from 'comlink';
import { Suspense, useEffect, useMemo, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { ChartCard, shuffleFigure } from '../shared/charts/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
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

/** The shuffling test watched: labels are mixed again and again while the pile of gaps grows. */
export function ShuffleWatch({ shown }: { shown: ShownComparison }) {
  const { comparison, style } = shown;
  const { level } = useChoices();
  const { experiment } = useExperiment();
  const question = useMemo(() => {
    const blocks = new Map(experiment.units.map((unit) => [unit.id, unit.block]));
    return shuffleQuestion(comparison, comparison.design, (id) => blocks.get(id) ?? '');
  }, [comparison, experiment.units]);
  const watch = useShuffles(JSON.stringify(question));
  const observed = question?.observed ?? 0;
  const reach = Math.max(observed, ...watch.gaps) * 1.15 || 1;
  const figure = useMemo(
    () => shuffleFigure(watch.gaps, observed, style, reach),
    [watch.gaps, observed, style, reach],
  );
  if (!question) return null;
  const count = watch.gaps.length;
  const asLarge = watch.gaps.filter((value) => value >= observed - 1e-9).length;
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
        {say('imagineTheLabelsFellOff', {
          isYoung: level === '5-7' || level === '8-10' ? 'yes' : 'no',
          kind: question.kind,
        })}{' '}
        {leastWords(leastShare(question))}
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
              rows: watch.gaps.map((value, at) => [at + 1, value]),
            }}
          />
        </Suspense>
      )}
    </section>
  );
}

/** From this share on it is said how rare a gap can be at all. */
const WORTH_SAYING = 0.005;

/** The least that a shuffle can show, where there are only few ways to put labels back. */
function leastWords(least: number): string {
  return least < WORTH_SAYING ? '' : say('noGapCanBeRarer', { outOfHundred: outOfHundred(least) });
}

/** Draws shuffles in a worker, round by round, until there are enough or somebody stops it. */
function useShuffles(key: string) {
  const [gaps, setGaps] = useState<readonly number[]>([]);
  const [isRunning, setIsRunning] = useState(false);
  const worker = useRef<{ ask: Remote<Shuffling>; end: () => void }>(undefined);
  const [shuffledKey, setShuffledKey] = useState(key);
  if (shuffledKey !== key) {
    setShuffledKey(key);
    setGaps([]);
    setIsRunning(false);
  }
  useEffect(() => () => worker.current?.end(), []);

  useEffect(() => {
    if (!isRunning) return;
    let isWanted = true;
    const question = JSON.parse(key) as ShuffleQuestion;
    const run = async (): Promise<void> => {
      worker.current ??= shufflingWorker();
      let made: readonly number[] = gaps.length < MOST ? gaps : [];
      for (let round = 0; made.length < MOST && isWanted; round += 1) {
        const draws = isStill() ? MOST - made.length : (ROUNDS[round] ?? LAST_ROUND);
        const found = await worker.current.ask.draw(question, draws, SEED + made.length);
        made = [...made, ...found].slice(0, MOST);
        // React keeps what was true when the effect began; only a stop may end it.
        // oxlint-disable-next-line typescript/no-unnecessary-condition
        if (!isWanted) return;
        setGaps(made);
        await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
      }
      setIsRunning(false);
    };
    void run();
    return () => {
      isWanted = false;
    };
    // Restarted by the button only: the gaps it begins with are those of that moment.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [isRunning, key]);

  return { gaps, isRunning, start: () => setIsRunning(true), stop: () => setIsRunning(false) };
}

function shufflingWorker(): { ask: Remote<Shuffling>; end: () => void } {
  const worker = new Worker(new URL('./shuffle.worker.ts', import.meta.url), { type: 'module' });
  return { ask: wrap<Shuffling>(worker), end: () => worker.terminate() };
}
