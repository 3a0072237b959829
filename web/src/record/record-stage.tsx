import type { UnitView } from '@bright-sprout/contract/plan';
import { useState } from 'react';
import { Link } from 'react-router';
import { TreatmentKey, unreadUnits, useExperiment } from '../shared/experiment/index.ts';
import { Pot, Sill, usePotLabel } from '../shared/sill/index.ts';
import { shortDay } from '../shared/ui/index.ts';
import { CountPanel } from './count-panel.tsx';
import { ReadingPanel } from './reading-panel.tsx';

/** Record: choose a pot on the sill, read it, go on to the next. */
export default function RecordStage() {
  const { experiment, findings, variable, day } = useExperiment();
  const label = usePotLabel();
  const unread = unreadUnits(experiment, findings, day);
  const [chosenId, setChosenId] = useState<string>();
  const chosen = experiment.units.find((unit) => unit.id === chosenId) ?? unread[0] ?? experiment.units[0];

  if (experiment.status === 'draft' || !chosen)
    return <NothingToRead words="Nothing is sown yet." link="sow" linkText="Go to Sow" />;

  const goOn = (): void => setChosenId(nextUnread(experiment.units, unread, chosen)?.id ?? chosen.id);
  const done = experiment.units.length - unread.length;
  const Panel = variable.kind === 'length' ? ReadingPanel : CountPanel;
  return (
    <div className="stage">
      <div className="sill-column">
        <Sill
          experiment={experiment}
          label="The sill: choose a pot to read"
          activeUnitId={chosen.id}
          renderUnit={(unit, tabIndex) => (
            <button
              type="button"
              className={unit.id === chosen.id ? 'pot is-chosen' : 'pot'}
              data-unit={unit.id}
              tabIndex={tabIndex}
              aria-label={label(unit)}
              aria-current={unit.id === chosen.id}
              onClick={() => setChosenId(unit.id)}
            >
              <Pot unit={unit} unreadText="to read" />
            </button>
          )}
          footer={
            <p>
              {done} of {experiment.units.length} done on {shortDay(day)}
            </p>
          }
        />
        <TreatmentKey treatments={experiment.treatments} />
      </div>
      <Panel
        key={`${chosen.id} ${day}`}
        unit={chosen}
        nextUnit={nextUnread(experiment.units, unread, chosen)}
        onKept={goOn}
      />
    </div>
  );
}

/** The next unit to read after `from` in walking order, starting over at the end. */
function nextUnread(
  units: readonly UnitView[],
  unread: readonly UnitView[],
  from: UnitView,
): UnitView | undefined {
  const others = unread.filter((unit) => unit.id !== from.id);
  return others.find((unit) => units.indexOf(unit) > units.indexOf(from)) ?? others[0];
}

function NothingToRead({ words, link, linkText }: { words: string; link: string; linkText: string }) {
  return (
    <div className="panel empty-panel">
      <h2>{words}</h2>
      <p className="quiet">Once the seeds are in the soil, each pot can be read here, day by day.</p>
      <Link className="btn btn-primary" to={`../${link}`}>
        {linkText}
      </Link>
    </div>
  );
}
