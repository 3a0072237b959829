import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/imports';
import {
  type ExchangedExperiment,
  type ExchangedVariable,
  type LastOfPot,
  type Understood,
  understoodOf,
} from '@bright-sprout/core/imports';
import { fromMillimetres, type LengthUnit } from '@bright-sprout/core/shared';
import { useMemo } from 'react';
import { longDay } from '../shared/ui/index.ts';

const MOST_DRAWN = 60;
const MOST_NAMED = 8;

/** What a table was taken to say, as a drawing of its pots and in three sentences, before anything is stored. */
export function TableUnderstood({ experiment }: { experiment: ExchangedExperiment }) {
  const understood = useMemo(() => understoodOf(experiment), [experiment]);
  return (
    <section className="table-understood">
      <Drawing understood={understood} />
      <div role="status" className="map-result">
        {sentencesOf(understood).map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
      </div>
    </section>
  );
}

/** How many pots and treatments; on which days; from which value to which. */
function sentencesOf({
  pots,
  treatments,
  days,
  firstDay,
  lastDay,
  variables,
  dead,
  notUp,
}: Understood): string[] {
  const names = treatments
    .slice(0, MOST_NAMED)
    .map(({ name, pots: own }) => say('treatmentWithPots', { name, pots: own.length }));
  const more = treatments.length - names.length;
  const all = more > 0 ? [...names, say('moreTreatments', { more })] : names;
  return [
    say('potsInTreatments', { pots, treatments: treatments.length, names: allOf(all) }),
    days === 1
      ? say('measuredOnOneDay', { day: longDay(firstDay) })
      : say('measuredOnDays', { days, first: longDay(firstDay), last: longDay(lastDay) }),
    ...variables.map(({ variable, count, low, high, highestPot }) =>
      say('valuesFromTo', {
        name: variable.name,
        count,
        low: figureOf(low, variable),
        high: figureOf(high, variable),
        pot: highestPot,
        isTall: variable.name === 'height' ? 'yes' : 'no',
      }),
    ),
    ...(dead + notUp > 0 ? [say('deadAndNotUp', { dead, notUp })] : []),
  ];
}

/** A value in the unit of its table, with as many decimals as it has. */
function figureOf(value: number, { kind, unit }: ExchangedVariable): string {
  const own = kind === 'length' ? fromMillimetres(value, unit as LengthUnit) : value;
  const isNamed = kind === 'length' || kind === 'number';
  return `${Number(own.toFixed(3))}${isNamed && unit !== '' ? ` ${unit}` : ''}`;
}

const POT_WIDTH = 14;
const HEIGHT = 90;
const GROUND = 76;

/** Each pot as a plant of its last value, the pots of a treatment side by side. */
function Drawing({ understood: { treatments } }: { understood: Understood }) {
  const drawn = treatments.filter(({ pots }) => pots.length > 0);
  const count = drawn.reduce((total, { pots }) => total + pots.length, 0);
  if (count === 0 || count > MOST_DRAWN || drawn.length > MOST_NAMED) return null;
  return (
    <div className="understood-shelf" aria-hidden="true">
      {drawn.map(({ name, pots }) => (
        <figure key={name}>
          <svg
            viewBox={`0 0 ${pots.length * POT_WIDTH} ${HEIGHT}`}
            style={{ width: `${pots.length * POT_WIDTH * 1.4}px` }}
          >
            {pots.map((pot, at) => (
              <Plant key={pot.number} pot={pot} x={at * POT_WIDTH + POT_WIDTH / 2} />
            ))}
          </svg>
          <figcaption>{name}</figcaption>
        </figure>
      ))}
    </div>
  );
}

function Plant({ pot: { share, state }, x }: { pot: LastOfPot; x: number }) {
  const top = GROUND - (share ?? 0) * (GROUND - 12);
  return (
    <g>
      <path className="understood-pot" d={`M${x - 5} ${GROUND} h10 l-1.5 12 h-7 z`} />
      {share !== null && (
        <>
          <path className="understood-stem" d={`M${x} ${GROUND} V${top}`} />
          <ellipse className="understood-leaf" cx={x - 2.6} cy={top + 1} rx={3} ry={1.6} />
          <ellipse className="understood-leaf" cx={x + 2.6} cy={top + 1} rx={3} ry={1.6} />
        </>
      )}
      {state === 'dead' && (
        <path className="understood-dead" d={`M${x - 3} ${GROUND - 9} l6 6 m0 -6 l-6 6`} />
      )}
    </g>
  );
}
