import { say } from '@bright-sprout/words/plans';
import type { Rehearsal, Result } from '@bright-sprout/core/rehearsal';

const WORDS: Record<Result, readonly [withEffect: string, without: string]> = {
  seen: [say('seeIt2'), say('seeWhatIsNotThere')],
  wrong_way: [say('seeTheOpposite'), say('seeWhatIsNotThere')],
  missed: [say('missIt'), say('rightlySeeNothingClear')],
  cannot_tell: [say('cannotTestAnything'), say('cannotTestAnything')],
};

const ORDER: readonly Result[] = ['seen', 'wrong_way', 'missed', 'cannot_tell'];

/** A hundred classes as dots, coloured by what they would find. */
export function ResultDots({ rehearsal, isNothing }: { rehearsal: Rehearsal; isNothing: boolean }) {
  const counts = ORDER.map((result) => [result, rehearsal.counts[result]] as const).filter(
    ([, count]) => count > 0,
  );
  const dots = inHundred(counts);
  return (
    <figure className="result-dots">
      <div aria-hidden="true" className={isNothing ? 'is-nothing' : ''}>
        {dots.map((result, index) => (
          <i key={index} className={`dot-${result}`} />
        ))}
      </div>
      <figcaption>
        {counts.map(([result, count]) => (
          <span key={result}>
            <i className={`dot-${result} ${isNothing ? 'is-nothing' : ''}`} aria-hidden="true" />
            {say('of', { count, classes: rehearsal.classes, words: WORDS[result][isNothing ? 1 : 0] })}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}

/** A hundred results in proportion to their counts, by largest remainder. */
function inHundred(counts: readonly (readonly [Result, number])[]): Result[] {
  const total = counts.reduce((sum, [, count]) => sum + count, 0);
  const shares = counts.map(([result, count]) => ({ result, exact: (count / total) * 100 }));
  const dots = shares.map(({ result, exact }) => ({ result, whole: Math.floor(exact), rest: exact % 1 }));
  let left = 100 - dots.reduce((sum, { whole }) => sum + whole, 0);
  for (const dot of [...dots].sort((a, b) => b.rest - a.rest)) {
    if (left === 0) break;
    dot.whole += 1;
    left -= 1;
  }
  return dots.flatMap(({ result, whole }) => Array.from({ length: whole }, () => result));
}
