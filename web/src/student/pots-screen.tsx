import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/student';
import type { StudentPart } from '@bright-sprout/contract/classes';
import type { DeviceView, StudentPotView } from '@bright-sprout/contract/student';
import type { LengthScale } from '@bright-sprout/core/shared';
import { allReadText, studentWords } from '@bright-sprout/core/words';
import { useQuery } from '@tanstack/react-query';
import { Droplets, Lightbulb, Ruler, Sprout } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useSearchParams } from 'react-router';
import { Avatar } from '../classes/index.ts';
import { scaleOf } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { IdeasScreen } from './ideas-screen.tsx';
import { OtherPot } from './other-pot.tsx';
import { PotCards } from './pot-cards.tsx';
import { PracticeScreen } from './practice-screen.tsx';
import { sowingQuery, usePots } from './queries.ts';
import { ReadScreen } from './read-screen.tsx';
import { SowingScreen } from './sowing-screen.tsx';
import { useEyes } from './use-eyes.ts';
import { useWater } from './use-keep-own.ts';

const MOST_SECOND_READS = 2;

/** My pots today: which are read, which are still to read, and reading one. */
export function PotsScreen({
  device,
  student,
  onAnother,
}: {
  device: DeviceView;
  student: StudentPart;
  onAnother: () => void;
}) {
  const { pots, error, isLoading } = usePots(student);
  const sowingAnswer = useQuery(sowingQuery);
  const sowings = sowingAnswer.data ?? [];
  const [search, setSearch] = useSearchParams();
  const unitId = search.get('pot') ?? undefined;
  const [place, setPlace] = useState<string>();
  const at = { device, studentId: student.id, displayName: student.displayName };
  const water = useWater(at);
  const open = pots?.find((pot) => pot.unitId === unitId);
  useEyes(open?.unitId ?? place ?? (isLoading ? 'waiting' : 'pots'));
  const left = pots?.filter((pot) => !pot.isReadToday) ?? [];
  const sowing = sowings.find(({ experimentId }) => experimentId === place);
  const setUnitId = (id: string | undefined): void =>
    setSearch(
      (before) => {
        if (id === undefined) before.delete('pot');
        else before.set('pot', id);
        return before;
      },
      { replace: true },
    );
  const next = (): void => {
    const index = pots?.findIndex((pot) => pot.unitId === unitId) ?? 0;
    const others = left.filter((pot) => pot.unitId !== unitId);
    const after = others.find((pot) => (pots?.indexOf(pot) ?? 0) > index) ?? others[0];
    setUnitId(after?.unitId);
  };
  if (open) {
    return (
      <ReadScreen
        key={open.unitId}
        pot={open}
        at={at}
        words={studentWords(device.readingLevel, open.isSoilFree)}
        before={heightsOf(pots ?? [], open)}
        onDone={next}
        onBack={() => setUnitId(undefined)}
      />
    );
  }
  if (place === 'ideas') return <IdeasScreen at={at} onBack={() => setPlace(undefined)} />;
  if (place === 'practice')
    return (
      <PracticeScreen
        scale={rulerOf(pots ?? [])}
        level={device.readingLevel}
        onBack={() => setPlace(undefined)}
      />
    );
  if (sowing) return <SowingScreen sowing={sowing} at={at} onBack={() => setPlace(undefined)} />;
  return (
    <main>
      <div className="student-who">
        <Avatar name={student.avatar} size={34} />
        <h1>{say('yourPotsToday', { displayName: student.displayName })}</h1>
        <Button variant="light" onClick={onAnother}>
          {say('somebodyElse')}
        </Button>
      </div>
      <FailureNote error={pots ? undefined : error} />
      {/* All at once: nothing may move away under a finger. */}
      {!isLoading && !sowingAnswer.isLoading && (
        <>
          {sowings.map((one) => (
            <Button
              key={one.experimentId}
              size="lg"
              className="sow-now"
              onClick={() => setPlace(one.experimentId)}
            >
              <Sprout size={28} aria-hidden="true" /> {say('sowPotsToday', { potsCount: one.pots.length })}
            </Button>
          ))}
          {pots?.length === 0 && sowings.length === 0 && <p>{say('thereIsNoPotForYouTo')}</p>}
          {pots && pots.length > 0 && left.length === 0 && (
            <p className="note-change">
              {allReadText(device.readingLevel, pots.length, student.displayName)} {secondReadText(pots)}
            </p>
          )}
          {unitId !== undefined && pots && <OtherPot unitId={unitId} onClose={() => setUnitId(undefined)} />}
          <PotCards pots={pots ?? []} onOpen={setUnitId} />
          <div className="big-answers student-jobs">
            {pots && pots.length > 0 && (
              <Button
                variant="light"
                disabled={water.isPending || water.isSuccess}
                onClick={() => water.mutate(pots)}
              >
                <Droplets size={22} aria-hidden="true" />{' '}
                {water.isSuccess ? say('wateringIsNoted') : say('weWateredOurPots')}
              </Button>
            )}
            <Button variant="light" onClick={() => setPlace('ideas')}>
              <Lightbulb size={22} aria-hidden="true" /> {say('whatWeThink')}
            </Button>
            <Button variant="light" onClick={() => setPlace('practice')}>
              <Ruler size={22} aria-hidden="true" /> {say('practiseReadingARuler')}
            </Button>
          </div>
        </>
      )}
      <FailureNote error={water.error} />
    </main>
  );
}

/** Asks for a second reading of a few pots that somebody else read today. */
function secondReadText(pots: readonly StudentPotView[]): string {
  const numbers = pots
    .filter((pot) => pot.own === null)
    .slice(0, MOST_SECOND_READS)
    .map((pot) => pot.number);
  if (numbers.length === 0) return '';
  const which =
    numbers.length === 1 ? say('pot5', { number: numbers[0] }) : say('pots', { numbers: allOf(numbers) });
  return say('beASecondReaderReadOnceMore', { which });
}

/** The ruler of the first plan that reads a length. */
function rulerOf(pots: readonly StudentPotView[]): LengthScale {
  const read = pots.find(({ variable }) => variable.kind === 'length');
  return read ? scaleOf(read.variable) : { unit: 'cm', step: 0.5 };
}

/** Heights that the student gave other pots of the same experiment today. */
function heightsOf(pots: readonly StudentPotView[], open: StudentPotView): number[] {
  return pots
    .filter((pot) => pot.experimentId === open.experimentId && pot.unitId !== open.unitId)
    .flatMap((pot) => pot.own?.value ?? []);
}
