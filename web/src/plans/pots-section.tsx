import { say } from '@bright-sprout/words/plans';
import { inventoryRoutes } from '@bright-sprout/contract/inventory';
import type { ContainerPart, PlanRequest } from '@bright-sprout/contract/plans';
import {
  BRIGHT_SIDES,
  conditionsIn,
  CONTAINER_KINDS,
  type ContainerKind,
  MOST_CONTAINERS,
  placeCount,
  seedsFor,
  treatmentsOf,
  usualContainer,
} from '@bright-sprout/core/design';
import { CONTAINER_WORDS, unitNoun, unitsText } from '@bright-sprout/core/words';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Plus, Save, X } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useFormContext } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { call, containerSizesQuery } from '../shared/api/index.ts';
import { useExperiment, useInventory } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { AddUnit } from './add-unit.tsx';
import { ClassSection } from './class-section.tsx';
import { ChoiceInput, NumberInput, TextInput } from './fields.tsx';
import { HowManyFit } from './how-many-fit.tsx';
import { usePlanEditor } from './plan-editor.tsx';
import { PlanField } from './plan-field.tsx';

const SIDE_WORDS = {
  top: say('atTheTop'),
  right: say('onTheRight'),
  bottom: say('atTheBottom'),
  left: say('onTheLeft'),
  none: 'nowhere',
} as const;

/** How many pots of each treatment, in which containers, laid out how. */
export function PotsSection() {
  const { plan, isPlanted, apply } = usePlanEditor();
  const { experiment } = useExperiment();
  const treatments = treatmentsOf(plan).length;
  const noun = unitNoun(plan.containers);
  const places = plan.containers.reduce((sum, container) => sum + placeCount(container), 0);
  return (
    <>
      <div className="form-row">
        <NumberInput
          name="replicates"
          label={treatments > 1 ? say('potsOfEachTreatment', { noun }) : say('pots2', { noun })}
          step={1}
          disabled={isPlanted}
        />
        {!isPlanted && (
          <div className="plan-field is-wide">
            <p className="form-label">{say('laidOut')}</p>
            <div className="button-row">
              {(['random', 'blocks'] as const).map((method) => (
                <Button
                  key={method}
                  variant={plan.layoutMethod === method ? 'primary' : 'light'}
                  aria-pressed={plan.layoutMethod === method}
                  onClick={() => apply({ layoutMethod: method, layoutSeed: plan.layoutSeed })}
                >
                  {method === 'random' ? say('allByChance') : say('inCompleteBlocks')}
                </Button>
              ))}
            </div>
          </div>
        )}
      </div>
      <p className="quiet">
        {plan.layoutMethod === 'blocks'
          ? say('eachRunOfNeighbouringPlacesHolds', { treatments })
          : plan.layoutMethod === 'by_hand'
            ? say('arrangedByHandTheDesignCheckSays')
            : say('eachOrderIsAsLikelyAsAny')}
      </p>
      <h2>{say('containers')}</h2>
      {plan.containers.map((_, index) => (
        <ContainerEditor key={index} index={index} />
      ))}
      {!isPlanted && <AddContainer />}
      {Number.isFinite(places * plan.replicates) && (
        <p className="quiet">
          {say('placesForPots', { places, units: unitsText(noun, treatments * plan.replicates) })}
        </p>
      )}
      {!isPlanted && <MoreContainers missing={treatments * plan.replicates - places} />}
      <ClassSection />
      {isPlanted && experiment.status !== 'finished' && <AddUnit />}
    </>
  );
}

function ContainerEditor({ index }: { index: number }) {
  const { plan, isPlanted, apply } = usePlanEditor();
  const { getValues } = useFormContext<PlanRequest>();
  const sizes = useQueryClient();
  const container = plan.containers[index];
  const save = useMutation({
    mutationFn: ({ kind, name, rows, columns, cellMl }: ContainerPart) =>
      call(inventoryRoutes.saveContainerSize, {
        params: { newSizeId: uuid() },
        body: { name: name || `${CONTAINER_WORDS[kind]} ${rows} × ${columns}`, kind, rows, columns, cellMl },
      }),
    onSuccess: () => sizes.invalidateQueries(containerSizesQuery),
  });
  if (!container) return null;
  const name = `containers.${index}` as const;
  const changeKind = (kind: ContainerKind): void => {
    // What the plan says of its pots follows the first: those that are like it stay so, as no treatment has its own.
    const isChanged = (one: ContainerPart, at: number): boolean =>
      at === index || (index === 0 && one.kind === container.kind);
    const containers = getValues('containers').map((one, at) =>
      isChanged(one, at) ? { ...usualContainer(kind), name: one.name, brightSide: one.brightSide } : one,
    );
    const { conditions } = getValues();
    apply({
      containers,
      ...(index > 0 ? {} : { conditions: conditionsIn(kind, container, conditions) }),
    });
  };
  return (
    <div className="container-editor">
      <div className="form-row">
        <PlanField id={`${name}.kind`} label={say('container', { index: index + 1 })} error={undefined}>
          <Form.Select
            value={container.kind}
            disabled={isPlanted}
            onChange={({ target }) => changeKind(target.value as ContainerKind)}
          >
            {CONTAINER_KINDS.map((kind) => (
              <option key={kind} value={kind}>
                {CONTAINER_WORDS[kind]}
              </option>
            ))}
          </Form.Select>
        </PlanField>
        <TextInput name={`${name}.name`} label={say('called')} />
        <NumberInput name={`${name}.rows`} label={say('rows2')} step={1} disabled={isPlanted} />
        <NumberInput name={`${name}.columns`} label={say('columns2')} step={1} disabled={isPlanted} />
        <NumberInput name={`${name}.cellMl`} label={say('holds')} unit="mL" disabled={isPlanted} />
        <ChoiceInput
          name={`${name}.brightSide`}
          label={say('brightest')}
          disabled={isPlanted}
          options={BRIGHT_SIDES.map((side) => [side, SIDE_WORDS[side]] as const)}
        />
      </div>
      {!isPlanted && (
        <div className="button-row">
          <Button
            variant="light"
            size="sm"
            onClick={() => save.mutate(getValues(name))}
            disabled={save.isPending}
          >
            <Save size={16} aria-hidden="true" /> {save.isSuccess ? say('sizeKept') : say('keepThisSize')}
          </Button>
          {plan.containers.length > 1 && (
            <Button
              variant="light"
              size="sm"
              onClick={() => apply({ containers: getValues('containers').filter((_, at) => at !== index) })}
            >
              <X size={16} aria-hidden="true" /> {say('takeAway')}
            </Button>
          )}
        </div>
      )}
      {!isPlanted && container.kind === 'box_rows' && (
        <HowManyFit
          onUse={(rows, columns) =>
            apply({
              containers: getValues('containers').map((one, at) =>
                at === index ? { ...one, rows, columns } : one,
              ),
            })
          }
          onUseRows={(rows, plants) =>
            apply({
              containers: getValues('containers').map((one, at) =>
                at === index ? { ...one, rows, columns: 1 } : one,
              ),
              plantsPerUnit: plants,
              seedsPerUnit: seedsFor(plan.seedsPerUnit, plan.plantsPerUnit, plants),
            })
          }
        />
      )}
      <FailureNote error={save.error} />
    </div>
  );
}

/** As many containers as it takes for the pots that have no place yet. */
function MoreContainers({ missing }: { missing: number }) {
  const { plan, apply } = usePlanEditor();
  const last = plan.containers.at(-1);
  if (!last || !(missing > 0)) return null;
  const count = Math.ceil(missing / placeCount(last));
  if (!(plan.containers.length + count <= MOST_CONTAINERS)) return null;
  const more = Array.from({ length: count }, () => ({ ...last, name: '' }));
  return (
    <Button variant="primary" size="sm" onClick={() => apply({ containers: [...plan.containers, ...more] })}>
      <Plus size={16} aria-hidden="true" />{' '}
      {say('addSoManyContainers', { count, kind: CONTAINER_WORDS[last.kind].toLowerCase() })}
    </Button>
  );
}

function AddContainer() {
  const { apply } = usePlanEditor();
  const { getValues } = useFormContext<PlanRequest>();
  const own = useInventory().containerSizes ?? [];
  const add = (value: string): void => {
    const size = own.find((one) => one.id === value);
    const usual = usualContainer((size?.kind ?? value) as ContainerKind);
    const made = size
      ? { ...usual, name: size.name, rows: size.rows, columns: size.columns, cellMl: size.cellMl }
      : usual;
    apply({ containers: [...getValues('containers'), made] });
  };
  return (
    <Form.Group controlId="add-container" className="add-container">
      <Form.Label>
        <Plus size={16} aria-hidden="true" /> {say('anotherContainer')}
      </Form.Label>
      <Form.Select value="" onChange={(event) => add(event.target.value)}>
        <option value="">{say('choose')}</option>
        {own.map(({ id, name, rows, columns }) => (
          <option key={id} value={id}>
            {say('yourOwn', { name, rows, columns })}
          </option>
        ))}
        {CONTAINER_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {CONTAINER_WORDS[kind]}, {usualContainer(kind).rows} × {usualContainer(kind).columns}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
}
