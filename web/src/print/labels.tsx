import { say } from '@bright-sprout/words/print';
import { allOf } from '@bright-sprout/words/say';
import { deepText } from '@bright-sprout/core/words';
import type { TreatmentView, UnitView } from '@bright-sprout/contract/plans';
import { treatmentOf, useExperiment, usePotSowing } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { Fitted } from './fitted.tsx';
import { Said, QrCode, shortDay, useJoinAddress } from '../shared/ui/index.ts';

/** Address that opens a pot on a tablet. */
function potAddress(origin: string, code: string, unitId: string): string {
  return `${origin}/join?code=${code}&pot=${unitId}`;
}

/** Ways to lay labels out: a grid to cut, or sheets of stickers by their rows, columns and paper. */
export const LABEL_SHEETS = {
  cut: { perPage: 0, paper: null },
  a4_24: { perPage: 24, paper: 'A4' },
  letter_30: { perPage: 30, paper: 'letter' },
} as const;
export type LabelSheet = keyof typeof LABEL_SHEETS;

/** One label a pot: number, treatment with mark and code, team, crop, and the way to the pot. */
export function Labels({ code, sheet }: { code: string | undefined; sheet: LabelSheet }) {
  const { units } = useExperiment().experiment;
  const perPage = LABEL_SHEETS[sheet].perPage || units.length;
  const pages = Array.from({ length: Math.ceil(units.length / perPage) }, (_, page) =>
    units.slice(page * perPage, (page + 1) * perPage),
  );
  return pages.map((page) => <LabelPage key={page[0]?.id} units={page} code={code} sheet={sheet} />);
}

function LabelPage({
  units,
  code,
  sheet,
}: {
  units: readonly UnitView[];
  code: string | undefined;
  sheet: LabelSheet;
}) {
  const { experiment } = useExperiment();
  const { origin } = useJoinAddress();
  const sowingOf = usePotSowing();
  return (
    <ul className={`label-sheet labels-${sheet}`}>
      {units.map((unit) => (
        <li key={unit.id}>
          <b className="label-number">{unit.number}</b>
          <Fitted>
            <TreatmentLine treatment={treatmentOf(experiment, unit)} />
            <small>
              {[cropBeside(treatmentOf(experiment, unit), sowingOf(unit).crop), unit.team]
                .filter((part) => part !== '')
                .join(' · ')}
            </small>
            {sowingOf(unit).gets && <small>{sowingOf(unit).gets}</small>}
            <small>
              {unit.sownOn === null ? say('sown') : say('sownOnShort', { day: shortDay(unit.sownOn) })}
            </small>
          </Fitted>
          {code && (
            <QrCode
              text={potAddress(origin, code, unit.id)}
              label={say('opensPot', { number: unit.number })}
              size={sheet === 'letter_30' ? 64 : 76}
            />
          )}
        </li>
      ))}
    </ul>
  );
}

/** The crop, unless the treatment is called by it. */
function cropBeside({ name }: TreatmentView, crop: string): string {
  return name.toLowerCase().includes(crop.toLowerCase()) ? '' : crop;
}

function TreatmentLine({ treatment }: { treatment: TreatmentView }) {
  return (
    <span className="label-treatment">
      <TreatmentMark style={treatment.style} size={16} /> <b>{treatment.code}</b> {treatment.name}
    </span>
  );
}

/** One card a team: what is in the kit, and which pots. */
export function KitCards({ code }: { code: string | undefined }) {
  const { experiment } = useExperiment();
  const teams = [...new Set(experiment.units.map((unit) => unit.team))].sort();
  return (
    <ul className="kit-sheet">
      {teams.map((team) => (
        <li key={team}>
          <KitCard team={team} code={code} units={experiment.units.filter((unit) => unit.team === team)} />
        </li>
      ))}
    </ul>
  );
}

function KitCard({
  team,
  units,
  code,
}: {
  team: string;
  units: readonly UnitView[];
  code: string | undefined;
}) {
  const { origin } = useJoinAddress();
  const { experiment } = useExperiment();
  const sowingOf = usePotSowing();
  const seedsOf = new Map<string, { propagule: string; count: number }>();
  for (const { crop, propagule, seeds } of units.map(sowingOf))
    seedsOf.set(crop, { propagule, count: (seedsOf.get(crop)?.count ?? 0) + seeds });
  const steps = (experiment.plan?.steps ?? []).filter((step) => step.when === 'sowing');
  return (
    <section>
      <h2>{team === '' ? say('kitForEverybody') : say('kitOf', { team })}</h2>
      <p>{experiment.question}</p>
      <p>
        <b>
          {say('potsLabelsSeedsOf', {
            unitsCount: units.length,
            seeds: allOf(
              [...seedsOf].map(([crop, of]) => say('seedsOfCrop', { ...of, crop: crop || say('theCrop') })),
            ),
          })}
        </b>
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">{say('pot')}</th>
            <th scope="col">{say('treatment')}</th>
            <th scope="col">{say('seeds')}</th>
            <th scope="col">{say('done')}</th>
          </tr>
        </thead>
        <tbody>
          {units.map((unit) => (
            <tr key={unit.id}>
              <th scope="row">{unit.number}</th>
              <td>
                <TreatmentLine treatment={treatmentOf(experiment, unit)} />
                {sowingOf(unit).sowingGets && <small>{sowingOf(unit).sowingGets}</small>}
              </td>
              <td>
                {[sowingOf(unit).seeds, seedsOf.size > 1 && sowingOf(unit).crop].filter(Boolean).join(' ')}
                {deepText(sowingOf(unit).depthMm)}
              </td>
              <td>☐</td>
            </tr>
          ))}
        </tbody>
      </table>
      <ol>
        {steps.map((step) => (
          <li key={step.id}>
            {step.text}
            {step.minutes !== null && say('minutes', { minutes: step.minutes })}
          </li>
        ))}
      </ol>
      <p className="kit-caution">{say('nobodyTastesSeedsOrSoilWashHands')}</p>
      {code && (
        <p className="kit-joining">
          <QrCode text={`${origin}/join?code=${code}`} label={say('opensTheClass')} size={70} />{' '}
          <Said by={say} code="classCode" values={{ code }} />
        </p>
      )}
    </section>
  );
}

/** A marker for each end of each row of each container. */
export function RowMarkers() {
  const { experiment } = useExperiment();
  const sowingOf = usePotSowing();
  const rows = experiment.containers.flatMap((container, index) =>
    Array.from({ length: container.rows }, (_, row) => ({
      name: container.name || say('container', { index: index + 1 }),
      row: row + 1,
      units: experiment.units.filter((unit) => unit.containerId === container.id && unit.row === row + 1),
    })),
  );
  return (
    <ul className="marker-sheet">
      {rows
        .filter(({ units }) => units.length > 0)
        .flatMap((row) => [say('leftEnd'), say('rightEnd')].map((end) => ({ ...row, end })))
        .map(({ name, row, units, end }) => (
          <li key={`${name} ${row} ${end}`}>
            <b>{say('row', { name, row })}</b>
            <span>{[...new Set(units.map((unit) => sowingOf(unit).crop))].filter(Boolean).join(' · ')}</span>
            <span>
              {units.map((unit) => (
                <span key={unit.id} className="marker-unit">
                  <TreatmentMark style={treatmentOf(experiment, unit).style} size={13} /> {unit.number}
                </span>
              ))}
            </span>
            <small>{end}</small>
          </li>
        ))}
    </ul>
  );
}
