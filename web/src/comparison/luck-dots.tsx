import { say } from '@bright-sprout/words/comparison';
import type { ReadingLevel } from '@bright-sprout/core/words';
import { outOfHundred } from '@bright-sprout/core/words';

const DOTS = 100;
const WITH_DOTS: readonly ReadingLevel[] = ['5-7', '8-10'];

/** A hundred tries as dots, those coloured in which luck alone makes what was found; for those who read no p value. */
export function LuckDots({ chance, level }: { chance: number | null; level: ReadingLevel }) {
  if (chance === null || !WITH_DOTS.includes(level)) return null;
  const byLuck = Math.round(chance * DOTS);
  return (
    <figure className="luck-dots">
      <div role="img" aria-label={say('luckInTries', { times: outOfHundred(chance) })}>
        {Array.from({ length: DOTS }, (_, index) => (
          <i key={index} className={index < byLuck ? 'is-luck' : ''} />
        ))}
      </div>
      {level === '5-7' && <figcaption>{say('tryItOften')}</figcaption>}
    </figure>
  );
}
