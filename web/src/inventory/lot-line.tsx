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
import { FailureNote, shortDay } from '../shared/ui/index.ts';
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
    ...experimentTests.map((one) => ({ ...one, where: 'packet test on the shelf' })),
  ];
  return (
    <article className="lot-line" aria-label={lot.name}>
      <h3>{lot.name}</h3>
      <p>
        {rate ? (
          <>
            Expect <b>{Math.round(rate.share * 100)} of 100</b> to come up
            {rate.low !== null &&
              rate.high !== null &&
              `, somewhere between ${Math.round(rate.low * 100)} and ${Math.round(rate.high * 100)}`}
            : {RATE_WORDS[rate.source]}.
          </>
        ) : (
          'No rate yet: test ten seeds.'
        )}
      </p>
      {tests.length > 0 && (
        <ul className="lot-tests">
          {tests.map((one, index) => (
            <li key={index}>
              {shortDay(one.on)}: {one.up} of {one.sown} up, {one.where}
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
          placeholder="sown"
          aria-label={`Seeds of ${lot.name} sown in a test`}
          onChange={({ target }) => setSown(target.value)}
        />
        <Form.Control
          type="number"
          min={0}
          value={up}
          placeholder="up"
          aria-label={`Seeds of ${lot.name} up in the test`}
          onChange={({ target }) => setUp(target.value)}
        />
        <Button type="submit" variant="light" size="sm" disabled={sown === '' || up === '' || test.isPending}>
          Add this test
        </Button>
        <Button variant="light" size="sm" onClick={() => setIsEditing(true)}>
          Change
        </Button>
        <Button variant="light" size="sm" disabled={remove.isPending} onClick={() => remove.mutate()}>
          Take it out
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
