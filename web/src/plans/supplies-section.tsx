import { oneOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/plans';
import { type Materials, materialsOf, POT_ON_ML, SETTLING, SPARE } from '@bright-sprout/core/amounts';
import { areSealed, type Crop, isBegun, type Plan, unitsProblem } from '@bright-sprout/core/design';
import { CONTAINER_WORDS, kitchenText, START_FORM_WORDS, volumeText } from '@bright-sprout/core/words';
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
  const { crops = [], lots = [] } = useSurroundings() ?? {};
  if (unitsProblem(plan)) return <p className="note-attention">{say('thePotsDoNotFitYetSee')}</p>;
  const materials = materialsOf(plan, lots);
  const volume = (ml: number): string => (measures === 'metric' ? volumeText(ml) : kitchenText(ml));
  const cropOf = (cropId: string) => crops.find((crop) => crop.id === cropId);
  const rows = shoppingRows(plan, materials, volume, cropOf);
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
            {choice === 'metric' ? say('mlAndG') : say('cupsAndSpoons')}
          </Button>
        ))}
        <Button size="sm" variant="light" onClick={() => window.print()}>
          <Printer size={16} aria-hidden="true" /> {say('print')}
        </Button>
      </div>
      <h2>{say('toGet')}</h2>
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
      <h2>{say('aKitForEachTeam')}</h2>
      <Form.Group controlId="teams" className="teams-entry no-print">
        <Form.Label>{say('teams')}</Form.Label>
        <Form.Control
          type="number"
          min={1}
          max={40}
          value={teams}
          onChange={({ target }) => setTeams(Math.max(1, Math.min(40, Number(target.value) || 1)))}
        />
      </Form.Group>
      <Kit plan={plan} materials={materials} teams={teams} volume={volume} />
      <h2>{say('forTheRoom')}</h2>
      <ul className="kit">
        {!areSealed(plan.containers) && (
          <li>{say('trayUnderEachOfContainers', { containers: materials.containers })}</li>
        )}
        <li>{say('binBagsAClothABroomA')}</li>
        <li>{say('theLayoutOfTheSillPrintedOr')}</li>
        {plan.conditions.cover === 'until_up' && !areSealed(plan.containers) && (
          <li>{say('filmOrLidsForContainers', { containers: materials.containers })}</li>
        )}
        {plan.conditions.light === 'lamp' && (
          <li>{say('lampWithATimerHoursADay', { lightHours: plan.conditions.lightHours })}</li>
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
  cropOf: (cropId: string) => Crop | undefined,
): SupplyRow[] {
  const spare = say('spare', { spare: Math.round(SPARE * 100) });
  const rows: SupplyRow[] = materials.seedsByCrop.map(({ cropId, seeds, packets, perPacket }) => {
    const crop = cropOf(cropId);
    const name = (crop?.commonName ?? cropId).toLowerCase();
    const { startsAs = 'seed' } = plan.conditions;
    if (startsAs !== 'seed')
      return {
        what: name,
        amount: say('pieces', { count: seeds, propagule: START_FORM_WORDS[startsAs] }),
        working: say('potsInAll', { units: materials.units }),
      };
    // Cloves, corms and pieces are bought by number, seed by the packet.
    if (crop && !crop.propagule.startsWith('seed'))
      return {
        what: name,
        amount: say('pieces', { count: seeds, propagule: crop.propagule }),
        working: say('potsInAll', { units: materials.units }),
      };
    return {
      what: say('seedsOf', { nameOf: name }),
      amount: say('packets', { seeds, packets }),
      working: say('forPotsInAllPacketsOfRounded', {
        units: materials.units,
        seedsPerPacket: perPacket,
      }),
    };
  });
  for (const { kind, count } of materials.vessels) {
    rows.push({
      what: CONTAINER_WORDS[kind],
      amount: String(count),
      working: say('potsInAll', { units: materials.units }),
    });
  }
  for (const { medium, count } of materials.linings) {
    rows.push({ what: medium, amount: String(count), working: say('onePieceForEach', { count }) });
  }
  if (materials.vessels.some(({ kind }) => kind === 'bags')) {
    rows.push({ what: say('tape'), amount: say('roll'), working: say('tapeForBags') });
  }
  if (materials.soilMl > 0) {
    rows.push(
      {
        what: plan.conditions.medium || say('mix'),
        amount: volume(materials.soilMl),
        working: say('whatThePlacesHoldForSettling', { settling: SETTLING, spare }),
      },
      {
        what: say('waterToWetTheMix'),
        amount: volume(materials.wettingMl),
        working: say('partsToOneOfDryMixSoak', { wetting: materials.wetting }),
      },
    );
  }
  rows.push({
    what: say('waterAtEachWatering'),
    amount: volume(materials.waterMlAWatering),
    working: say('eachPotItsMeasuredAmountMlUnless', { waterMl: plan.conditions.waterMl }),
  });
  for (const dose of materials.doses) {
    rows.push({
      what: `${dose.material} (${dose.treatments.join(', ')})`,
      amount: `${Math.ceil(dose.total * 10) / 10} ${dose.unit}`,
      working: say('pots3', { amount: dose.amount, unit: dose.unit, units: dose.units, spare }),
    });
  }
  const { potOn } = materials;
  if (potOn) {
    rows.push(
      { what: say('potsToPotOn'), amount: String(potOn.pots), working: say('onePotAPlant') },
      {
        what: say('mixToPotOn'),
        amount: volume(potOn.mixMl),
        working: say('mlAPotForSettling', {
          ml: plan.calendar.potOnMl ?? POT_ON_ML,
          settling: SETTLING,
          spare,
        }),
      },
    );
  }
  if (plan.conditions.protection)
    rows.push({
      what: plan.conditions.protection,
      amount: say('asNeeded'),
      working: say('toProtectThePots'),
    });
  rows.push({ what: say('labels'), amount: String(materials.labels), working: say('oneAPot', { spare }) });
  if (materials.rowMarkers > 0) {
    rows.push({
      what: say('rowMarkers'),
      amount: String(materials.rowMarkers),
      working: say('oneAtBothEndsOfARow'),
    });
  }
  return rows;
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
  const pots = most === least ? say('pots4', { most }) : say('toPots', { least, most });
  return (
    <ul className="kit">
      <li>{say('andAsManyLabelsAPencilFor', { pots, teams })}</li>
      {!isBegun(plan) && (
        <li>
          {say('seedsInATwistOfPaper', { ceil: Math.ceil((materials.seeds / materials.units) * most) })}
        </li>
      )}
      {materials.soilMl > 0 && (
        <li>{say('ofWettedMixASpoon', { volume: volume((materials.soilMl / materials.units) * most) })}</li>
      )}
      <li>
        {say('ofWaterAndASyringeOrSpoon', {
          volume: volume((materials.waterMlAWatering / materials.units) * most),
          waterMl: plan.conditions.waterMl,
        })}
      </li>
      {materials.doses.map((dose) => (
        <li key={`${dose.material}-${dose.amount}`}>
          {say('forEachPotLabelled', {
            material: dose.material,
            amount: dose.amount,
            unit: dose.unit,
            treatments: oneOf(dose.treatments),
          })}
        </li>
      ))}
    </ul>
  );
}
