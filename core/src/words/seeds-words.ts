import { say } from '@bright-sprout/words/statements';
import type { SeedsAnswer } from '../comparison/index.ts';
import { ALPHA } from '../statistics/index.ts';
import { levelKey } from './level-key.ts';
import { outOfHundred, pText } from './luck-words.ts';
import { type ComparisonSpeech, dayText } from './speech.ts';
import { TEST_NAMES } from './test-words.ts';

/** How many seeds came up, beside what the packet says. */
export function seedsSentence({ level, comparison }: ComparisonSpeech, seeds: SeedsAnswer): string {
  const { up, sown, rate, test } = seeds;
  const share = sown === 0 ? 0 : up / sown;
  const isClear = test.defined && test.value.p < ALPHA;
  const isSame = rate !== null && Math.round(100 * share) === Math.round(100 * rate);
  return say('seedsCameUp', {
    ...{ level: levelKey(level), up, sown, hundred: Math.round(100 * share) },
    when: say('by', { comparison: dayText(comparison) }),
    packet: rate === null ? 'none' : isClear ? 'unlike' : isSame ? 'same' : test.defined ? 'luck' : 'said',
    ...{ rate: Math.round(100 * (rate ?? 0)), way: share < (rate ?? 0) ? 'fewer' : 'more' },
  });
}

/** How often seeds as good as the packet says would come up as far from it; empty where that was not judged. */
export function seedsLuck({ level }: ComparisonSpeech, { rate, test, share }: SeedsAnswer): string {
  if (rate === null || !test.defined) return '';
  const { p, method } = test.value;
  return say('packetLuck', {
    ...{ level: levelKey(level), times: outOfHundred(p), p: pText(p), method: TEST_NAMES[method].name },
    hasInterval: share.defined ? 'yes' : 'no',
    low: share.defined ? Math.round(100 * share.value.low) : 0,
    high: share.defined ? Math.round(100 * share.value.high) : 0,
    isRare: p < ALPHA ? 'yes' : 'no',
  });
}
