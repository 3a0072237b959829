import { say } from '@bright-sprout/words/plans';
import {
  type DoseTotal,
  type Materials,
  materialsOf,
  potOnMl,
  SETTLING,
  SPARE,
} from '@bright-sprout/core/amounts';
import { planCalendar } from '@bright-sprout/core/calendar';
import { type Crop, isInWater, type Plan, unitsProblem } from '@bright-sprout/core/design';
import {
  CONTAINER_WORDS,
  doseText,
  kitchenText,
  START_FORM_WORDS,
  unitNoun,
  unitsText,
  volumeText,
} from '@bright-sprout/core/words';
import { Printer } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import { useSurroundings } from '../shared/experiment/index.ts';
import { useRemembered } from '../shared/ui/index.ts';
import { usePlanEditor } from './plan-editor.tsx';
import { TeamKits } from './team-kits.tsx';

type Measures = 'metric' | 'household';

/** The shopping list, the kit of each team and what the room needs, with the working of each figure. */
export function SuppliesSection() {
  const { plan } = usePlanEditor();
  const [measures, setMeasures] = useRemembered<Measures>('measures', ['metric', 'household'], 'metric');
  const surroundings = useSurroundings();
  const { crops = [], lots = [] } = surroundings ?? {};
  if (unitsProblem(plan)) return <p className="note-attention">{say('thePotsDoNotFitYetSee')}</p>;
  const waterings = surroundings
    ? planCalendar(plan, surroundings).tasks.filter(({ code }) => code === 'water').length + 1
    : 1;
  const materials = materialsOf(plan, { lots, waterings });
  const volume = (ml: number): string => (measures === 'metric' ? volumeText(ml) : kitchenText(ml));
  const cropOf = (cropId: string) => crops.find((crop) => crop.id === cropId);
  const rows = shoppingRows(plan, materials, { volume, cropOf, waterings });
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
      <TeamKits volume={volume} />
      <h2>{say('forTheRoom')}</h2>
      <ul className="kit">
        {materials.trays > 0 && <li>{say('trayUnderEachOfContainers', { containers: materials.trays })}</li>}
        <li>{say('binBagsAClothABroomA')}</li>
        <li>{say('theLayoutOfTheSillPrintedOr')}</li>
        {materials.covers > 0 && <li>{say('filmOrLidsForContainers', { containers: materials.covers })}</li>}
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
  {
    volume,
    cropOf,
    waterings,
  }: {
    volume: (ml: number) => string;
    cropOf: (cropId: string) => Crop | undefined;
    waterings: number;
  },
): SupplyRow[] {
  const spare = say('spare', { spare: Math.round(SPARE * 100) });
  const noun = unitNoun(plan.containers);
  const rows = seedRows(plan, materials, cropOf);
  for (const { kind, count } of materials.vessels) {
    rows.push({
      what: CONTAINER_WORDS[kind],
      amount: String(count),
      working: say('potsInAll', { units: unitsText(unitNoun(plan.containers), materials.units) }),
    });
  }
  for (const { medium, count } of materials.linings) {
    rows.push({ what: medium, amount: String(count), working: say('onePieceForEach', { count }) });
  }
  if (materials.vessels.some(({ kind }) => kind === 'bags')) {
    rows.push({ what: say('tape'), amount: say('roll'), working: say('tapeForBags') });
  }
  if (materials.soilMl > 0) {
    for (const { material, ml } of materials.mixes) {
      rows.push({
        what: material || say('mix'),
        amount: volume(ml),
        working: say('whatThePlacesHoldForSettling', { settling: SETTLING, spare }),
      });
    }
    rows.push({
      what: say('waterToWetTheMix'),
      amount: volume(materials.wettingMl),
      working: say('partsToOneOfDryMixSoak', { wetting: materials.wetting }),
    });
  }
  if (materials.liningMl > 0) {
    rows.push({
      what: say('waterToWetTheLinings'),
      amount: volume(materials.liningMl),
      working: say('onceOnSowingDay'),
    });
  }
  if (materials.waterMlAWatering > 0) {
    rows.push({
      what: say('waterAtEachWatering'),
      amount: volume(materials.waterMlAWatering),
      working: say('eachPotItsMeasuredAmountMlUnless', { waterMl: plan.conditions.waterMl }),
    });
  }
  for (const dose of materials.doses) {
    rows.push({
      what: `${dose.material} (${dose.treatments.join(', ')})`,
      amount: totalText(dose),
      working: isInWater(dose)
        ? say('inEachLitreOfWater', {
            dose: doseText(dose),
            units: unitsText(noun, dose.units),
            waterings,
            spare,
          })
        : say('pots3', { dose: doseText(dose), units: unitsText(noun, dose.units), spare }),
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
          ml: potOnMl(plan),
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

/** Seed by the packet, all else that is put in by the piece. */
function seedRows(
  plan: Plan,
  materials: Materials,
  cropOf: (cropId: string) => Crop | undefined,
): SupplyRow[] {
  return materials.seedsByCrop.map(({ cropId, seeds, packets, perPacket }) => {
    const crop = cropOf(cropId);
    const name = (crop?.commonName ?? cropId).toLowerCase();
    const { startsAs = 'seed' } = plan.conditions;
    if (startsAs !== 'seed')
      return {
        what: name,
        amount: say('pieces', { count: seeds, propagule: START_FORM_WORDS[startsAs] }),
        working: say('potsInAll', { units: unitsText(unitNoun(plan.containers), materials.units) }),
      };
    // Cloves, corms and pieces are bought by number, seed by the packet.
    if (crop && !crop.propagule.startsWith('seed'))
      return {
        what: name,
        amount: say('pieces', { count: seeds, propagule: crop.propagule }),
        working: say('potsInAll', { units: unitsText(unitNoun(plan.containers), materials.units) }),
      };
    return {
      what: say('seedsOf', { nameOf: name }),
      amount: say('packets', { seeds, packets }),
      working: say('forPotsInAllPacketsOfRounded', {
        units: unitsText(unitNoun(plan.containers), materials.units),
        seedsPerPacket: perPacket,
      }),
    };
  });
}

/** What is bought by the piece is whole. */
const COUNTED: readonly DoseTotal['unit'][] = ['drop', 'pinch', 'tablet'];

function totalText({ total, unit }: DoseTotal): string {
  if (COUNTED.includes(unit)) return say('wholeDoses', { count: Math.ceil(total - 1e-9), unit });
  return `${Math.ceil(total * 10 - 1e-9) / 10} ${isInWater({ unit }) ? unit.slice(0, -2) : unit}`;
}
