import { say } from '@bright-sprout/words/inventory';
import {
  type CropView,
  inventoryRoutes,
  SeedLotRequest,
  type SeedLotView,
} from '@bright-sprout/contract/inventory';
import type { ErrorBody } from '@bright-sprout/contract/shared';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { type FieldPath, FormProvider, useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { ApiFailure, call, seedLotsQuery } from '../shared/api/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { Entry } from './inputs.tsx';
import { resolveRequest } from './resolve-request.ts';

interface LotValues extends Omit<SeedLotRequest, 'daysToEmergence'> {
  daysToEmergence: { min: number | null; max: number | null };
}

/** What a packet says; fields that it does not speak of stay empty. */
export function LotForm({
  crop,
  lot,
  onDone,
}: {
  crop: CropView;
  lot: SeedLotView | undefined;
  onDone: () => void;
}) {
  const queries = useQueryClient();
  const newId = useRef(lot?.id ?? uuid());
  const form = useForm<LotValues>({
    resolver: resolveRequest(SeedLotRequest, request),
    defaultValues: {
      cropId: crop.id,
      name: lot?.name ?? '',
      germinationPercent: lot?.germinationPercent ?? null,
      depthMm: lot?.depthMm ?? null,
      daysToEmergence: lot?.daysToEmergence ?? { min: null, max: null },
      spacingMm: lot?.spacingMm ?? null,
      seedsPerPacket: lot?.seedsPerPacket ?? null,
      packedOn: lot?.packedOn ?? null,
      tests: lot?.tests ?? [],
    },
  });
  const save = useMutation({
    mutationFn: (values: LotValues) =>
      call(inventoryRoutes.saveSeedLot, { params: { newLotId: newId.current }, body: request(values) }),
    onSuccess: async () => {
      await queries.invalidateQueries(seedLotsQuery);
      onDone();
    },
    onError: (error) => {
      for (const { field, message } of fieldsOf(error))
        form.setError(field as FieldPath<LotValues>, { message });
    },
  });
  return (
    <FormProvider {...form}>
      <Form
        noValidate
        className="lot-form"
        onSubmit={(event) => {
          event.preventDefault();
          void form.handleSubmit(() => save.mutate(form.getValues()))();
        }}
      >
        <Entry<LotValues> name="name" label={say('packetCalled')} />
        <div className="form-row">
          <Entry<LotValues>
            name="germinationPercent"
            label={say('saysItGerminates')}
            unit="%"
            type="number"
          />
          <Entry<LotValues> name="depthMm" label={say('depth')} unit="mm" type="number" />
          <Entry<LotValues> name="spacingMm" label={say('spacing')} unit="mm" type="number" />
        </div>
        <div className="form-row">
          <Entry<LotValues> name="daysToEmergence.min" label={say('upFromDay')} type="number" />
          <Entry<LotValues> name="daysToEmergence.max" label={say('toDay')} type="number" />
          <Entry<LotValues> name="seedsPerPacket" label={say('seedsInIt')} type="number" />
          <Entry<LotValues> name="packedOn" label={say('packedOn')} type="date" />
        </div>
        {fieldsOf(save.error).length === 0 && <FailureNote error={save.error} />}
        <div className="button-row">
          <Button type="submit" size="sm" disabled={save.isPending}>
            {say('keepThisPacket')}
          </Button>
          <Button variant="light" size="sm" onClick={onDone}>
            {say('neverMind')}
          </Button>
        </div>
      </Form>
    </FormProvider>
  );
}

/** A range with one end empty is no range. */
function request({ daysToEmergence, ...values }: LotValues): SeedLotRequest {
  const { min, max } = daysToEmergence;
  return { ...values, daysToEmergence: min === null || max === null ? null : { min, max } };
}

function fieldsOf(error: unknown): ErrorBody['fields'] {
  return error instanceof ApiFailure ? error.body.fields : [];
}
