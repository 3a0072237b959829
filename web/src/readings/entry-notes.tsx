import { say } from '@bright-sprout/words/readings';
import { type LengthScale, lengthText, type LengthUnit, type ParsedLength } from '@bright-sprout/core/shared';
import './readings.scss';

const UNIT_WORDS: Readonly<Record<LengthUnit, string>> = {
  mm: say('millimetres'),
  cm: say('centimetres'),
  in: say('inches'),
};

/** Says what becomes of a height that was typed between two marks, or in another unit than the plan reads in. */
export function EntryNotes({ parsed, scale }: { parsed: ParsedLength; scale: LengthScale }) {
  if (!parsed.ok) return null;
  return (
    <>
      {parsed.moved && (
        <p className="quiet">{say('readToTheNearestMark', { lengthText: lengthText(parsed.mm, scale) })}</p>
      )}
      {parsed.unit !== scale.unit && (
        <p className="note-attention">
          {say('typedInWhileThisPlanReadsIn', {
            unitWords: UNIT_WORDS[parsed.unit],
            unitWords2: UNIT_WORDS[scale.unit],
            lengthText: lengthText(parsed.mm, scale),
          })}
        </p>
      )}
    </>
  );
}
