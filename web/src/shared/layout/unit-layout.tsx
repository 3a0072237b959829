import { say } from '@bright-sprout/words/interface';
import type { ContainerView, ExperimentView, UnitView } from '@bright-sprout/contract/plans';
import { type ReactNode, useRef, useState } from 'react';
import { type Direction, neighbour } from './walk.ts';

const ARROWS: Readonly<Record<string, Direction>> = {
  ArrowLeft: 'left',
  ArrowRight: 'right',
  ArrowUp: 'up',
  ArrowDown: 'down',
};

/** Columns beyond which pots are drawn small and the board is scrolled. */
const WIDE = 8;

/** What a stage does with the layout. */
export interface UnitLayoutProps {
  readonly experiment: ExperimentView;
  /** The content of a place that holds a unit: one focusable element with `data-unit` and the given tab index. */
  readonly renderUnit: (unit: UnitView, tabIndex: 0 | -1) => ReactNode;
  readonly label: string;
  readonly footer?: ReactNode;
  readonly isSmall?: boolean;
  /** The unit that Tab comes to; the first one when left out. */
  readonly activeUnitId?: string | undefined;
}

/**
 * The containers drawn from above in the places where they stand, the bright side on top. A grid for the
 * keyboard: arrows walk from pot to pot.
 */
export function UnitLayout({
  experiment,
  renderUnit,
  label,
  footer,
  isSmall,
  activeUnitId,
}: UnitLayoutProps) {
  const frame = useRef<HTMLDivElement>(null);
  const [focusedId, setFocusedId] = useState<string>();
  const tabStop = activeUnitId ?? focusedId ?? experiment.units[0]?.id;

  const isTop = experiment.containers.every((container) => container.brightSide === 'top');
  const allRows = experiment.containers.reduce((sum, container) => sum + container.rows, 0);

  const isDense = experiment.containers.some((container) => container.columns > WIDE);
  const classes = ['layout', ...(isSmall ? ['layout-small'] : isDense ? ['layout-dense'] : [])];

  const walk = (event: React.KeyboardEvent): void => {
    const direction = ARROWS[event.key];
    const unitId = (event.target as HTMLElement).closest<HTMLElement>('[data-unit]')?.dataset.unit;
    if (!direction || !unitId || event.altKey || event.ctrlKey || event.metaKey) return;
    const next = neighbour(experiment, unitId, direction);
    if (!next) return;
    event.preventDefault();
    frame.current?.querySelector<HTMLElement>(`[data-unit="${next.id}"]`)?.focus();
  };

  return (
    <section className={classes.join(' ')} aria-label={label}>
      <div className="layout-window" aria-hidden="true">
        <i />
        <i />
        <i />
        <i />
        {!isSmall && <span>{isTop ? say('windowSideBrightest') : 'window'}</span>}
      </div>
      <div
        ref={frame}
        className="layout-board"
        style={{ '--all-rows': allRows } as React.CSSProperties}
        onKeyDown={walk}
        onFocus={(event) => setFocusedId(event.target.closest<HTMLElement>('[data-unit]')?.dataset.unit)}
      >
        {experiment.containers.map((container) => (
          <div key={container.id}>
            {container.name && !isSmall && <p className="container-name">{container.name}</p>}
            <ContainerGrid container={container} experiment={experiment} label={label} isMarked={!isTop}>
              {(unit) => renderUnit(unit, unit.id === tabStop ? 0 : -1)}
            </ContainerGrid>
          </div>
        ))}
      </div>
      {footer && <div className="layout-footer">{footer}</div>}
    </section>
  );
}

function ContainerGrid({
  container,
  experiment,
  label,
  isMarked,
  children,
}: {
  container: ContainerView;
  isMarked: boolean;
  experiment: ExperimentView;
  label: string;
  children: (unit: UnitView) => ReactNode;
}) {
  const units = experiment.units.filter((unit) => unit.containerId === container.id);
  return (
    <div
      role="grid"
      aria-label={container.name ? `${label}, ${container.name}` : label}
      className={`container-box container-${container.kind}${isMarked ? ` bright-${container.brightSide}` : ''}`}
      style={{ '--columns': container.columns, '--rows': container.rows } as React.CSSProperties}
    >
      {Array.from({ length: container.rows }, (_, row) => (
        <div role="row" key={row} className="container-row">
          {Array.from({ length: container.columns }, (__, column) => {
            const unit = units.find(
              (candidate) => candidate.row === row + 1 && candidate.column === column + 1,
            );
            return (
              <div role="gridcell" key={column} className="place">
                {unit ? children(unit) : <span className="visually-hidden">{say('emptyPlace')}</span>}
              </div>
            );
          })}
        </div>
      ))}
    </div>
  );
}
