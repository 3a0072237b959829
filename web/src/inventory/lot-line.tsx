import { say } from '@bright-sprout/words/inventory';
import {
  type CropView,
  inventoryRoutes,
  type SeedLotRequest,
  type SeedLotView,
} from '@bright-sprout/contract/inventory';
import { seedFacts } from '@bright-sprout/core/design';
import { calendarDay, dayInZone } from '@bright-sprout/core/shared';
import { RATE_WORDS } from '@bright-sprout/core/words';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { call, seedLotsQuery, sessionQuery } from '../shared/api/index.ts';
import { wholeLot } from '../shared/experiment/index.ts';
import { Said, FailureNote, shortDay } from '../shared/ui/index.ts';
import { LotForm } from './lot-form.tsx';

/** One packet: what is to be expected of it, and the tests that say so. */
export function LotLine({ lot, crop }: { lot: SeedLotView; crop: CropView }) {
  const queries = useQueryClient();
  const session = useQuery(sessionQuery).data;
  const [isEditing, setIsEditing] = useState(false);
  const [sown, setSown] = useState('');
  const [up, setUp] = useState('');
  const [now] = useState(() => Date.now());
  const today = calendarDay(dayInZone(now, session?.timeZone ?? 'UTC'));
  const { rate } = seedFacts(crop, wholeLot(lot), today);
  const { id, experimentTests } = lot;
  const again = () => queries.invalidateQueries(seedLotsQuery);
  const test = useMutation({
    mutationFn: () =>
      call(inventoryRoutes.saveSeedLot, {
        params: { newLotId: id },
        body: { ...saidBy(lot), tests: [...lot.tests, { on: today, sown: Number(sown), up: Number(up) }] },
      }),
    onSuccess: async () => {
      await again();
      setSown('');
      setUp('');
    },
  });
  const remove = useMutation({
    mutationFn: () => call(inventoryRoutes.removeSeedLot, { params: { lotId: id } }),
    onSuccess: again,
  });
  if (isEditing) return <LotForm crop={crop} lot={lot} onDone={() => setIsEditing(false)} />;
  const tests = [
    ...lot.tests.map((one) => ({ ...one, where: 'tested' })),
    ...experimentTests.map((one) => ({ ...one, where: say('packetTestOnTheShelf') })),
  ];
  return (
    <article className="lot-line" aria-label={lot.name}>
      <h3>{lot.name}</h3>
      <p>
        {rate ? (
          <>
            <Said by={say} code="expectOf100ToComeUp" values={{ share: Math.round(rate.share * 100) }} />
            {rate.low !== null &&
              rate.high !== null &&
              say('somewhereBetweenAnd', {
                low: Math.round(rate.low * 100),
                high: Math.round(rate.high * 100),
              })}
            : {RATE_WORDS[rate.source]}.
          </>
        ) : (
          say('noRateYetTestTenSeeds')
        )}
      </p>
      {tests.length > 0 && (
        <ul className="lot-tests">
          {tests.map((one, index) => (
            <li key={index}>
              {say('ofUp', { on: shortDay(one.on), up: one.up, sown: one.sown, where: one.where })}
            </li>
          ))}
        </ul>
      )}
      <Form
        className="form-row"
        onSubmit={(event) => {
          event.preventDefault();
          test.mutate();
        }}
      >
        <Form.Control
          type="number"
          min={1}
          value={sown}
          placeholder={say('sown')}
          aria-label={say('seedsOfSownInATest', { lot: lot.name })}
          onChange={({ target }) => setSown(target.value)}
        />
        <Form.Control
          type="number"
          min={0}
          value={up}
          placeholder={say('up')}
          aria-label={say('seedsOfUpInTheTest', { lot: lot.name })}
          onChange={({ target }) => setUp(target.value)}
        />
        <Button type="submit" variant="light" size="sm" disabled={sown === '' || up === '' || test.isPending}>
          {say('addThisTest')}
        </Button>
        <Button variant="light" size="sm" onClick={() => setIsEditing(true)}>
          {say('change2')}
        </Button>
        <Button variant="light" size="sm" disabled={remove.isPending} onClick={() => remove.mutate()}>
          {say('takeItOut')}
        </Button>
      </Form>
      {test.error instanceof Error && <TestProblem error={test.error} />}
      <FailureNote error={remove.error} />
    </article>
  );
}

/** What a packet says, as it is sent. */
function saidBy(lot: SeedLotView): SeedLotRequest {
  const {
    cropId,
    name,
    germinationPercent,
    depthMm,
    daysToEmergence,
    spacingMm,
    seedsPerPacket,
    packedOn,
    tests,
  } = lot;
  return {
    cropId,
    name,
    germinationPercent,
    depthMm,
    daysToEmergence,
    spacingMm,
    seedsPerPacket,
    packedOn,
    tests,
  };
}

function TestProblem({ error }: { error: unknown }) {
  const fields = (error as { body?: { fields?: { message: string }[] } }).body?.fields ?? [];
  const [first] = fields;
  return first ? (
    <p className="field-problem" role="alert">
      {first.message}
    </p>
  ) : (
    <FailureNote error={error} />
  );
}
