import { studentRoutes } from '@bright-sprout/contract/student';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ApiFailure, call } from '../shared/api/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { CodeScreen } from './code-screen.tsx';
import { PotsScreen } from './pots-screen.tsx';
import { doorQuery } from './queries.ts';
import { TilesScreen } from './tiles-screen.tsx';

/** The student's side: code, picture, pots, reading. One thing on the screen at a time. */
export default function StudentApp() {
  const door = useQuery(doorQuery);
  const queries = useQueryClient();
  const leave = useMutation({
    mutationFn: () => call(studentRoutes.leave, {}),
    onSuccess: () => queries.resetQueries({ queryKey: ['door'] }),
  });
  const choose = useMutation({
    mutationFn: (studentId: string) => call(studentRoutes.chooseTile, { body: { studentId } }),
    onSuccess: (chosen) => {
      queries.setQueryData(doorQuery.queryKey, chosen);
      void queries.resetQueries({ queryKey: ['door', 'pots'] });
    },
  });
  if (door.isPending) return <p className="visually-hidden">Opening …</p>;
  if (!door.data) {
    const isOutside = door.error instanceof ApiFailure && door.error.body.code === 'not_joined';
    return <CodeScreen error={isOutside ? undefined : door.error} />;
  }
  const { students, studentId } = door.data;
  const student = students.find(({ id }) => id === studentId);
  return (
    <div className="student">
      <header className="student-head">
        <b>{door.data.className}</b>
        <button type="button" className="link-button" onClick={() => leave.mutate()}>
          Leave the class
        </button>
      </header>
      <FailureNote error={choose.error ?? leave.error} />
      {student ? (
        <PotsScreen door={door.data} student={student} onAnother={() => choose.reset()} />
      ) : (
        <TilesScreen students={students} isBusy={choose.isPending} onChoose={(id) => choose.mutate(id)} />
      )}
    </div>
  );
}
