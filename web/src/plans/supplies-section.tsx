import {
  householdOf,
  type Materials,
  materialsOf,
  SETTLING,
  SPARE,
  WETTING,
} from '@bright-sprout/core/amounts';
import { type Plan, unitsProblem } from '@bright-sprout/core/design';
import { CONTAINER_WORDS, householdText, volumeText } from '@bright-sprout/core/words';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useSurroundings } from '../shared/experiment/index.ts';
import { useRemembered } from '../shared/ui/index.ts';
import { usePlanEditor } from './plan-editor.tsx';

type Measures = 'metric' | 'household';

/** The shopping list, the kit of each team and what the room needs, with the working of each figure. */
export function SuppliesSection() {
  const { plan } = usePlanEditor();
  const [measures, setMeasures] = useRemembered<Measures>('measures', ['metric', 'household'], 'metric');
  const [teams, setTeams] = useState(5);
  const crops = useSurroundings()?.crops ?? [];
  if (unitsProblem(plan)) return <p className="note-attention">The pots do not fit yet: see Pots.</p>;
  const materials = materialsOf(plan);
  const volume = (ml: number): string =>
    measures === 'metric' ? volumeText(ml) : householdText(householdOf(ml));
  const nameOf = (cropId: string): string => crops.find((crop) => crop.id === cropId)?.commonName ?? cropId;
  const rows = shoppingRows(plan, materials, volume, nameOf);
  return (
    <div className="supplies printable">
      <div className="button-row no-print">
        {(['metric', 'household'] as const).map((choice) => (
          <Button
            key={choice}
            size="sm"
            variant={measures === choice ? 'primary' : 'light'}
            aria-pressed={measures === choice}
            onClick={() => setMeasures(choice)}
          >
            {choice === 'metric' ? 'mL and g' : 'Cups and spoons'}
          </Button>
        ))}
        <Button size="sm" variant="light" onClick={() => window.print()}>
          <Printer size={16} aria-hidden="true" /> Print
        </Button>
      </div>
      <h2>To get</h2>
      <table className="supply-list">
        <tbody>
          {rows.map(({ what, amount, working }) => (
            <tr key={what}>
              <th scope="row">{what}</th>
              <td>{amount}</td>
              <td className="quiet">{working}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2>A kit for each team</h2>
      <Form.Group controlId="teams" className="teams-entry no-print">
        <Form.Label>Teams</Form.Label>
        <Form.Control
          type="number"
          min={1}
          max={40}
          value={teams}
          onChange={({ target }) => setTeams(Math.max(1, Math.min(40, Number(target.value) || 1)))}
        />
      </Form.Group>
      <Kit plan={plan} materials={materials} teams={teams} volume={volume} />
      <h2>For the room</h2>
      <ul className="kit">
        <li>
          Tray under each of{' '}
          {materials.containers === 1 ? 'the container' : `${materials.containers} containers`}
        </li>
        <li>Bin bags, a cloth, a broom, a place to wash hands</li>
        <li>The layout of the sill, printed or on the projector</li>
        {plan.conditions.cover === 'until_up' && (
          <li>
            Film or lids for {materials.containers} {materials.containers === 1 ? 'container' : 'containers'}
          </li>
        )}
        {plan.conditions.light === 'lamp' && (
          <li>Lamp with a timer, {plan.conditions.lightHours} hours a day, away from water</li>
        )}
      </ul>
    </div>
  );
}

interface SupplyRow {
  readonly what: string;
  readonly amount: string;
  readonly working: string;
}

function shoppingRows(
  plan: Plan,
  materials: Materials,
  volume: (ml: number) => string,
  nameOf: (cropId: string) => string,
): SupplyRow[] {
  const spare = `${Math.round(SPARE * 100)} % spare`;
  const rows: SupplyRow[] = materials.seedsByCrop.map(({ cropId, seeds }) => {
    const packets = Math.ceil(seeds / plan.seedsPerPacket);
    return {
      what: `Seeds of ${nameOf(cropId).toLowerCase()}`,
      amount: `${seeds} = ${packets} ${packets === 1 ? 'packet' : 'packets'}`,
      working: `for ${materials.units} pots in all; packets of ${plan.seedsPerPacket}, rounded up`,
    };
  });
  for (const [kind, count] of countedContainers(plan)) {
    rows.push({
      what: CONTAINER_WORDS[kind],
      amount: String(count),
      working: `${materials.units} pots in all`,
    });
  }
  if (materials.soilMl > 0) {
    rows.push(
      {
        what: plan.conditions.medium || 'Mix',
        amount: volume(materials.soilMl),
        working: `what the places hold × ${SETTLING} for settling, ${spare}`,
      },
      {
        what: 'Water to wet the mix',
        amount: volume(materials.wettingMl),
        working: `${WETTING} parts to one of dry mix; soak ten minutes`,
      },
    );
  }
  rows.push({
    what: 'Water at each watering',
    amount: volume(materials.waterMlAWatering),
    working: `each pot its measured amount, ${plan.conditions.waterMl} mL unless a level says otherwise`,
  });
  for (const dose of materials.doses) {
    rows.push({
      what: `${dose.material} (${dose.treatments.join(', ')})`,
      amount: `${Math.ceil(dose.total * 10) / 10} ${dose.unit}`,
      working: `${dose.amount} ${dose.unit} × ${dose.units} pots, ${spare}`,
    });
  }
  rows.push({ what: 'Labels', amount: String(materials.labels), working: `one a pot, ${spare}` });
  if (materials.rowMarkers > 0) {
    rows.push({
      what: 'Row markers',
      amount: String(materials.rowMarkers),
      working: 'one at both ends of a row',
    });
  }
  return rows;
}

function countedContainers(plan: Plan): Map<Plan['containers'][number]['kind'], number> {
  const counts = new Map<Plan['containers'][number]['kind'], number>();
  for (const { kind } of plan.containers) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return counts;
}

function Kit({
  plan,
  materials,
  teams,
  volume,
}: {
  plan: Plan;
  materials: Materials;
  teams: number;
  volume: (ml: number) => string;
}) {
  const most = Math.ceil(materials.units / teams);
  const least = Math.floor(materials.units / teams);
  const pots = most === least ? `${most} pots` : `${least} to ${most} pots`;
  return (
    <ul className="kit">
      <li>
        {pots} and as many labels, a pencil; for {teams} {teams === 1 ? 'team' : 'teams'}
      </li>
      <li>{Math.ceil((materials.seeds / materials.units) * most)} seeds in a twist of paper</li>
      {materials.soilMl > 0 && (
        <li>{volume((materials.soilMl / materials.units) * most)} of wetted mix, a spoon</li>
      )}
      <li>
        {volume((materials.waterMlAWatering / materials.units) * most)} of water and a syringe or spoon marked
        at {plan.conditions.waterMl} mL
      </li>
      {materials.doses.map((dose) => (
        <li key={`${dose.material}-${dose.amount}`}>
          {dose.material}: {dose.amount} {dose.unit} for each pot labelled {dose.treatments.join(' or ')}
        </li>
      ))}
    </ul>
  );
}
