import { say } from '@bright-sprout/words/imports';
import type {
  FoundWord,
  MeantWord,
  MeantZeros,
  WordMeaning,
  ZeroCount,
  ZeroMeaning,
  ZerosFound,
} from '@bright-sprout/core/imports';
import { STATE_WORDS } from '@bright-sprout/core/words';
import { Choice, choicesOf } from '../shared/ui/index.ts';

const MEANING_WORDS: Record<WordMeaning, string> = {
  nothing: say('nobodyReadIt'),
  not_emerged: STATE_WORDS.not_emerged,
  emerged: say('upNotMeasured'),
  dead: STATE_WORDS.dead,
  removed: STATE_WORDS.removed,
  not_read: say('notReadAndNotedSo'),
};

const ZERO_WORDS: Record<ZeroMeaning, string> = {
  value: say('truly0'),
  not_emerged: STATE_WORDS.not_emerged,
  dead: STATE_WORDS.dead,
  not_read: STATE_WORDS.not_read,
};

const UNKNOWN = 'unknown';

/** What words in place of values say, and heights of 0; each with how often it stands there. */
export function MapWords({
  found,
  words,
  zeros,
  zerosFound,
  onWords,
  onZeros,
}: {
  found: readonly FoundWord[];
  words: readonly MeantWord[];
  zeros: MeantZeros;
  zerosFound: ZerosFound | undefined;
  onWords: (words: MeantWord[]) => void;
  onZeros: (zeros: MeantZeros) => void;
}) {
  const hasZeros = zerosFound && zerosFound.before.count + zerosFound.after.count > 0;
  if (found.length === 0 && !hasZeros) return null;
  const set = (word: string, meaning: WordMeaning): void =>
    onWords([...words.filter((own) => own.word !== word), { word, meaning }]);
  return (
    <div className="compare-controls" role="group" aria-label={say('whatWordsAndZerosMean')}>
      {found.map(({ word, count, usual }) => {
        const meaning = words.find((own) => own.word === word)?.meaning ?? usual;
        return (
          <Choice<WordMeaning | typeof UNKNOWN>
            key={word}
            label={say('wordMeans', { ifWord: word === '' ? 'yes' : 'no', word, count })}
            value={meaning ?? UNKNOWN}
            choices={[
              ...(meaning === undefined ? ([[UNKNOWN, say('choose')]] as const) : []),
              ...choicesOf(MEANING_WORDS),
            ]}
            onChange={(chosen) => {
              if (chosen !== UNKNOWN) set(word, chosen);
            }}
          />
        );
      })}
      {zerosFound && zerosFound.before.count > 0 && (
        <Choice
          label={say('n0BeforeAPotWasUpMeans', { zeroText: zeroText(zerosFound.before) })}
          value={zeros.before}
          choices={choicesOf(ZERO_WORDS)}
          onChange={(before) => onZeros({ ...zeros, before })}
        />
      )}
      {zerosFound && zerosFound.after.count > 0 && (
        <Choice
          label={say('n0AfterAPotWasUpMeans', { zeroText: zeroText(zerosFound.after) })}
          value={zeros.after}
          choices={choicesOf(ZERO_WORDS)}
          onChange={(after) => onZeros({ ...zeros, after })}
        />
      )}
    </div>
  );
}

function zeroText({ count, example }: ZeroCount): string {
  const first = example ? say('potOn', { unit: example.unit, day: example.day }) : '';
  return count === 1 ? first : say('timesFirst', { count, first });
}
