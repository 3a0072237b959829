import { say } from '@bright-sprout/words/plans';
import type { UnitView } from '@bright-sprout/contract/plans';
import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { Shuffle, Undo2 } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { treatmentOf, TreatmentKey, useExperiment } from '../shared/experiment/index.ts';
import { PotFromAbove, TreatmentMark, treatmentStyle } from '../shared/plants/index.ts';
import { UnitLayout } from '../shared/layout/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { useTeamBrush } from './team-brush.tsx';
import { useLayout } from './use-layout.ts';

const DRAG_DISTANCE = 6;

/** The layout of a plan: shuffle it, swap two pots by dragging or by keyboard, and take it back. */
export function LayoutEditor({ canArrange }: { canArrange: boolean }) {
  const { experiment } = useExperiment();
  const layout = useLayout();
  const [pickedId, setPickedId] = useState<string>();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_DISTANCE } }));
  const picked = experiment.units.find((unit) => unit.id === pickedId);

  const brush = useTeamBrush();
  const choose = (unit: UnitView): void => {
    if (brush.team) return brush.give(unit.id);
    if (!canArrange) return;
    if (!picked) setPickedId(unit.id);
    else {
      if (picked.id !== unit.id) layout.swap(picked.id, unit.id);
      setPickedId(undefined);
    }
  };
  const drop = ({ active, over }: DragEndEvent): void => {
    if (over && over.id !== active.id) layout.swap(String(active.id), String(over.id));
    setPickedId(undefined);
  };

  return (
    <div className="layout-column" onKeyDown={(event) => event.key === 'Escape' && setPickedId(undefined)}>
      <DndContext sensors={sensors} onDragEnd={drop} accessibility={{ container: document.body }}>
        <UnitLayout
          experiment={experiment}
          label={say('theSillWhichTreatmentStandsWhere')}
          activeUnitId={undefined}
          renderUnit={(unit, tabIndex) => (
            <PlannedPot
              unit={unit}
              tabIndex={tabIndex}
              isPicked={unit.id === pickedId}
              canArrange={canArrange}
              onChoose={() => choose(unit)}
            />
          )}
          footer={<TreatmentKey treatments={experiment.treatments} />}
        />
      </DndContext>
      {canArrange && (
        <div className="layout-actions">
          <Button variant="light" onClick={layout.shuffle} disabled={layout.isBusy}>
            <Shuffle size={18} aria-hidden="true" /> {say('shuffleAgain')}
          </Button>
          <Button variant="light" onClick={layout.undo} disabled={layout.isBusy || !layout.canUndo}>
            <Undo2 size={18} aria-hidden="true" /> {say('undo')}
          </Button>
          <p className="quiet" aria-live="polite">
            {picked
              ? say('potPickedChooseThePotToSwap', { number: picked.number })
              : say('dragOnePotOntoAnotherToSwap')}
          </p>
        </div>
      )}
      <FailureNote error={layout.error} />
    </div>
  );
}

function PlannedPot({
  unit,
  tabIndex,
  isPicked,
  canArrange,
  onChoose,
}: {
  unit: UnitView;
  tabIndex: 0 | -1;
  isPicked: boolean;
  canArrange: boolean;
  onChoose: () => void;
}) {
  const { experiment } = useExperiment();
  const treatment = treatmentOf(experiment, unit);
  const drag = useDraggable({ id: unit.id, disabled: !canArrange });
  const drop = useDroppable({ id: unit.id });
  const shift = drag.transform
    ? { transform: `translate(${drag.transform.x}px, ${drag.transform.y}px)`, zIndex: 5 }
    : {};
  const classes = ['pot', isPicked ? 'is-picked' : '', drop.isOver && !drag.isDragging ? 'is-target' : ''];
  return (
    <div ref={drop.setNodeRef} className="drop-place">
      <button
        ref={drag.setNodeRef}
        type="button"
        className={classes.join(' ')}
        style={shift}
        data-unit={unit.id}
        tabIndex={tabIndex}
        aria-label={say('potOfTeam', {
          number: unit.number,
          treatment: treatment.name,
          ifTeam: unit.team ? 'yes' : 'no',
          team: unit.team,
        })}
        aria-pressed={canArrange ? isPicked : undefined}
        onClick={onChoose}
        {...(canArrange ? drag.listeners : {})}
      >
        <PotFromAbove state="unknown" heightMm={null} turn={unit.number} />
        <span className="pot-mark">
          <TreatmentMark style={treatment.style} size={30} />
        </span>
        <span className="pot-tag" style={{ borderColor: treatmentStyle(treatment.style).color }}>
          {unit.number}
        </span>
        {unit.team && <span className="pot-team">{unit.team}</span>}
      </button>
    </div>
  );
}
