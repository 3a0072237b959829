import { say } from '@bright-sprout/words/comparison';
import { STATE_WORDS } from '@bright-sprout/core/words';
import { useMemo } from 'react';
import { findingText, treatmentOf, useExperiment } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { shortDay } from '../shared/ui/index.ts';
import { useChoices } from './compare-context.tsx';

const KEY = [
  { state: say('value2'), words: say('value2') },
  { state: 'not_emerged', words: STATE_WORDS.not_emerged },
  { state: 'dead', words: say('deadOrRemoved') },
  { state: 'gone', words: say('nothingLeftToRead') },
  { state: 'aside', words: say('setAside') },
  { state: 'none', words: say('nobodyRead') },
] as const;

/** A square for each pot and day on which anybody read: what is there and what is missing. */
export function MissingMap() {
  const { experiment, readings, day, setDay } = useExperiment();
  const { variable, chosen } = useChoices();
  const { days, cells, lostOn } = useMemo(() => {
    const own = readings.filter((reading) => reading.variableId === variable.id);
    const found = new Map<string, { state: string; text: string }>();
    for (const reading of own) {
      const key = `${reading.unitId} ${reading.observedOn}`;
      const text = findingText({ state: reading.state, value: reading.value ?? null }, variable);
      if (reading.setAside !== null) {
        if (!found.has(key)) found.set(key, { state: 'aside', text: say('textSetAside', { text }) });
        continue;
      }
      if (!reading.counts) continue;
      const state =
        reading.state === 'emerged'
          ? 'value'
          : reading.state === 'not_emerged'
            ? 'not_emerged'
            : reading.state === 'not_read'
              ? 'none'
              : 'dead';
      found.set(key, { state, text });
    }
    const lost = new Map<string, string>();
    for (const reading of own) {
      const isLost = reading.counts && (reading.state === 'dead' || reading.state === 'removed');
      if (isLost && !lost.has(reading.unitId)) lost.set(reading.unitId, reading.observedOn);
    }
    const all = [...new Set(own.map((reading) => reading.observedOn))].sort();
    return { days: all, cells: found, lostOn: lost };
  }, [readings, variable]);
  if (days.length === 0) return null;
  const units = experiment.units.filter((unit) => chosen.size === 0 || chosen.has(unit.id));
  return (
    <section className="panel" aria-label={say('whatIsMissing')}>
      <h3>{say('whatIsThereAndWhatIsMissing')}</h3>
      <div className="missing-scroll" tabIndex={0} role="region" aria-label={say('potsByDayScrollable')}>
        <table className="missing-map">
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">{say('pot')}</span>
              </th>
              {days.map((one) => (
                <th key={one} scope="col" className={one === day ? 'is-day' : ''}>
                  <button
                    type="button"
                    onClick={() => setDay(one)}
                    aria-label={say('goTo2', { one: shortDay(one) })}
                  >
                    {Number(one.slice(8))}
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {units.map((unit) => (
              <tr key={unit.id}>
                <th scope="row">
                  <TreatmentMark style={treatmentOf(experiment, unit).style} size={12} /> {unit.number}
                </th>
                {days.map((one) => {
                  const cell = cells.get(`${unit.id} ${one}`) ?? emptyCell(one, lostOn.get(unit.id));
                  return (
                    <td
                      key={one}
                      className={`cell-${cell.state}`}
                      title={say('pot2', { number: unit.number, one: shortDay(one), cell: cell.text })}
                    >
                      <span className="visually-hidden">{cell.text}</span>
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="missing-key">
        {KEY.map(({ state, words }) => (
          <span key={state}>
            <i className={`cell-${state}`} aria-hidden="true" /> {words}
          </span>
        ))}
      </p>
    </section>
  );
}

/** A pot that died or was removed before has nothing to read any more; else nobody did. */
function emptyCell(day: string, lostOn: string | undefined): { state: string; text: string } {
  return lostOn !== undefined && day > lostOn
    ? { state: 'gone', text: say('nothingLeftToRead') }
    : { state: 'none', text: say('nobodyRead') };
}
