import { allOf, oneOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/plans';
import { type Kit, kitsOf } from '@bright-sprout/core/amounts';
import { type Crop, dealtUnits, treatmentsOf, unitPlanOf, unitPlans } from '@bright-sprout/core/design';
import { doseText, propaguleWord, type UnitNoun, unitNoun, unitsText } from '@bright-sprout/core/words';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { treatmentOf, useExperiment, useSurroundings } from '../shared/experiment/index.ts';
import { usePlanEditor } from './plan-editor.tsx';

const USUAL_TEAMS = 5;
const MOST_TEAMS = 40;
const NOTHING_KNOWN = { crops: [], lots: [] };

/** What each team gets for its own pots: of the class's teams, or of as many as are typed while there are none. */
export function TeamKits({ volume }: { volume: (ml: number) => string }) {
  const { plan } = usePlanEditor();
  const { experiment } = useExperiment();
  const known = useSurroundings() ?? NOTHING_KNOWN;
  const [count, setCount] = useState(USUAL_TEAMS);
  const treatments = treatmentsOf(plan);
  const planned = unitPlans(plan, known);
  const isStored = experiment.units.length === planned.length;
  const hasTeams = isStored && experiment.units.some(({ team }) => team !== '');
  const stored = experiment.units.flatMap((unit) => {
    const treatment = treatments[treatmentOf(experiment, unit).style];
    const at = experiment.containers.findIndex(({ id }) => id === unit.containerId);
    return treatment ? [{ ...unitPlanOf(plan, treatment, plan.containers[at], known), team: unit.team }] : [];
  });
  const dealt = dealtUnits(
    planned.map(({ treatment }) => treatment.code),
    Math.min(count, planned.length),
  );
  const kits = kitsOf(
    hasTeams
      ? stored
      : planned.map((unit, at) => ({ ...unit, team: say('teamNumber', { number: (dealt[at] ?? 0) + 1 }) })),
  );
  return (
    <>
      {!hasTeams && (
        <Form.Group controlId="teams" className="teams-entry no-print">
          <Form.Label>{say('teams')}</Form.Label>
          <Form.Control
            type="number"
            min={1}
            max={MOST_TEAMS}
            value={count}
            onChange={({ target }) => setCount(Math.max(1, Math.min(MOST_TEAMS, Number(target.value) || 1)))}
          />
        </Form.Group>
      )}
      {kits.map((kit) => (
        <section key={kit.teams.join()}>
          <h3>{allOf(kit.teams.map((team) => team || say('potsWithoutATeam')))}</h3>
          <KitLines
            kit={kit}
            volume={volume}
            noun={unitNoun(plan.containers)}
            crops={known.crops}
            startsAs={plan.conditions.startsAs}
          />
        </section>
      ))}
    </>
  );
}

function KitLines({
  kit,
  volume,
  noun,
  crops,
  startsAs = 'seed',
}: {
  kit: Kit;
  volume: (ml: number) => string;
  noun: UnitNoun;
  crops: readonly Crop[];
  startsAs: Parameters<typeof propaguleWord>[0] | undefined;
}) {
  return (
    <ul className="kit">
      <li>{say('andAsManyLabelsAPencil', { units: unitsText(noun, kit.units), count: kit.units })}</li>
      {kit.seeds.map(({ cropId, seeds }) => {
        const crop = crops.find(({ id }) => id === cropId);
        const of = { propagule: propaguleWord(startsAs, crop), crop: (crop?.commonName ?? '').toLowerCase() };
        return <li key={cropId}>{say('seedsOfOneCrop', { count: seeds, ...of })}</li>;
      })}
      {kit.mixes.map(({ material, ml }) => (
        <li key={material}>{say('ofAMaterial', { volume: volume(ml), material })}</li>
      ))}
      {kit.linings.map(({ medium, count }) => (
        <li key={medium}>{say('liningsOf', { count, medium })}</li>
      ))}
      {kit.waterMl > 0 && (
        <li>
          {say('ofWaterAndASyringeOrSpoon', {
            volume: volume(kit.waterMl),
            waterMl: oneOf(kit.waterOfOne),
          })}
        </li>
      )}
      {kit.doses.map((dose) => (
        <li key={`${dose.material} ${dose.amount} ${dose.unit}`}>
          {say('forEachPotOfTreatments', {
            dose: doseText(dose),
            units: unitsText(noun, dose.units),
            count: dose.units,
            treatments: oneOf(dose.treatments),
            when: dose.when,
          })}
        </li>
      ))}
    </ul>
  );
}
