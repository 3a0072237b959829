import type { StudentPart } from '@bright-sprout/contract/classes';
import type { DoorView, StudentPotView } from '@bright-sprout/contract/student';
import { studentWords } from '@bright-sprout/core/words';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Tile } from '../classes/index.ts';
import { findingText } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { potsQuery, doorQuery } from './queries.ts';
import { ReadScreen } from './read-screen.tsx';

/** My pots today: which are read, which are still to read, and reading one. */
export function PotsScreen({
  door,
  student,
  onAnother,
}: {
  door: DoorView;
  student: StudentPart;
  onAnother: () => void;
}) {
  const queries = useQueryClient();
  const { data: pots, error } = useQuery(potsQuery);
  const [unitId, setUnitId] = useState<string>();
  const words = studentWords(door.readingLevel);
  const open = pots?.find((pot) => pot.unitId === unitId);
  const left = pots?.filter((pot) => !pot.isReadToday) ?? [];
  const another = (): void => {
    onAnother();
    queries.setQueryData(doorQuery.queryKey, { ...door, studentId: null });
  };
  const next = (): void => {
    const at = pots?.findIndex((pot) => pot.unitId === unitId) ?? 0;
    const others = left.filter((pot) => pot.unitId !== unitId);
    const after = others.find((pot) => (pots?.indexOf(pot) ?? 0) > at) ?? others[0];
    setUnitId(after?.unitId);
  };
  if (open) {
    return (
      <ReadScreen
        key={open.unitId}
        pot={open}
        day={door.today}
        words={words}
        onDone={next}
        onBack={() => setUnitId(undefined)}
      />
    );
  }
  return (
    <main>
      <div className="student-who">
        <Tile name={student.tile} size={34} />
        <h1>{student.displayName}, your pots today</h1>
        <Button variant="light" onClick={another}>
          Somebody else
        </Button>
      </div>
      <FailureNote error={error} />
      {pots?.length === 0 && <p>There is no pot for you to read today.</p>}
      {pots && pots.length > 0 && left.length === 0 && <p className="note-change">{words.allDone}</p>}
      <ul className="pot-cards">
        {pots?.map((pot) => (
          <li key={pot.unitId}>
            <PotCard pot={pot} onOpen={() => setUnitId(pot.unitId)} />
          </li>
        ))}
      </ul>
    </main>
  );
}

function PotCard({ pot, onOpen }: { pot: StudentPotView; onOpen: () => void }) {
  const now = pot.own ? findingText(pot.own, pot.variable) : pot.isReadToday ? 'read' : 'to read';
  return (
    <button type="button" className={pot.isReadToday ? 'pot-card is-read' : 'pot-card'} onClick={onOpen}>
      <span className="pot-card-number">
        <TreatmentMark style={pot.style} size={22} /> {pot.number}
      </span>
      <span>{pot.treatment}</span>
      <b>{now}</b>
    </button>
  );
}
