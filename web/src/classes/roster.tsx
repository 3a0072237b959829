import { say } from '@bright-sprout/words/classes';
import { MOST_NAME_CHARACTERS, MOST_STUDENTS } from '@bright-sprout/core/shared';
import { classRoutes, type ClassView, type RosterRequest } from '@bright-sprout/contract/classes';
import { dealtTeams } from '@bright-sprout/core/design';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Shuffle } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { v7 as uuid } from 'uuid';
import { ApiFailure, call, classesQuery } from '../shared/api/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { readNames } from './read-names.ts';
import { NameEntry, StudentRow } from './student-row.tsx';
import { freeAvatar } from './avatars.tsx';

const TEAM_NAMES = [
  say('otters'),
  say('herons'),
  say('badgers'),
  say('moles'),
  say('swifts'),
  say('newts'),
  say('hares'),
  say('wrens'),
  say('toads'),
  say('bats'),
];
const MOST_TEAMS = TEAM_NAMES.length;

/** Who is in the class, by display name and picture, and who is in which team. Every change is kept at once. */
export function Roster({ schoolClass }: { schoolClass: ClassView }) {
  const queries = useQueryClient();
  const [names, setNames] = useState('');
  const [leftOut, setLeftOut] = useState<readonly string[]>([]);
  const { students, teams } = schoolClass;
  const save = useMutation({
    scope: { id: `roster-${schoolClass.id}` },
    mutationFn: (body: RosterRequest) =>
      call(classRoutes.saveRoster, { params: { classId: schoolClass.id }, body }),
    onSuccess: (kept) => {
      queries.setQueryData(classesQuery.queryKey, (all = []) =>
        all.map((one) => (one.id === kept.id ? kept : one)),
      );
    },
  });
  const keep = (changes: Partial<RosterRequest>): void => save.mutate({ students, teams, ...changes });
  const change = (id: string, changes: Partial<RosterRequest['students'][number]>): void =>
    keep({ students: students.map((student) => (student.id === id ? { ...student, ...changes } : student)) });
  const read = readNames(
    names,
    students.map((student) => student.displayName),
  );
  const add = (): void => {
    const all = [...students];
    for (const displayName of read.names) {
      const avatar = freeAvatar(all.map((student) => student.avatar));
      all.push({ id: uuid(), displayName, avatar, teamId: null });
    }
    save.mutate(
      { students: all, teams },
      {
        onSuccess: () => {
          setNames(read.tooLong.join('\n'));
          setLeftOut(read.known);
        },
      },
    );
  };
  const remove = ({ id, displayName }: ClassView['students'][number]): void => {
    const isSure = window.confirm(say('removeForGoodTheReadingsStayAs', { displayName }));
    if (isSure) keep({ students: students.filter((one) => one.id !== id) });
  };
  return (
    <>
      <h2>
        {students.length === 1 ? say('n1Student') : say('students', { studentsCount: students.length })}
        {teams.length > 0 && say('teams', { teamsCount: teams.length })}
      </h2>
      <Form
        className="add-students"
        onSubmit={(event) => {
          event.preventDefault();
          if (read.names.length > 0) add();
          else setLeftOut(read.known);
        }}
      >
        <Form.Control
          as="textarea"
          rows={2}
          value={names}
          aria-label={say('displayNames')}
          placeholder={say('pasteOrTypeDisplayNamesOneA')}
          onChange={({ target }) => setNames(target.value)}
        />
        <Button type="submit" variant="light" disabled={save.isPending || students.length >= MOST_STUDENTS}>
          {say('addThem')}
        </Button>
      </Form>
      <div role="status">
        {read.tooLong.length > 0 && (
          <p className="field-problem">
            {say('aDisplayNameHasUpToCharacters', {
              mostNameCharacters: MOST_NAME_CHARACTERS,
              listed: listed(read.tooLong),
            })}
          </p>
        )}
        {leftOut.length > 0 && (
          <p className="note-attention">{say('inTheClassAlreadySoNotAdded', { listed: listed(leftOut) })}</p>
        )}
      </div>
      {students.length > 1 && <DealTeams schoolClass={schoolClass} isBusy={save.isPending} onDeal={keep} />}
      {teams.length > 0 && (
        <ul className="team-names">
          {teams.map((team) => (
            <li key={team.id}>
              <NameEntry
                label={say('nameOfTeam', { team: team.name })}
                value={team.name}
                onKeep={(name) =>
                  keep({ teams: teams.map((one) => (one.id === team.id ? { ...one, name } : one)) })
                }
              />
              <small>{students.filter((student) => student.teamId === team.id).length}</small>
            </li>
          ))}
        </ul>
      )}
      <RosterProblem error={save.error} />
      <ul className={schoolClass.asksPin ? 'roster with-pins' : 'roster'}>
        {students.map((student) => (
          <StudentRow
            key={student.id}
            student={student}
            schoolClass={schoolClass}
            onChange={(changes) => change(student.id, changes)}
            onRemove={() => remove(student)}
          />
        ))}
      </ul>
    </>
  );
}

/** Deals the students to teams by chance; teams that there are keep their names. */
function DealTeams({
  schoolClass: { students, teams },
  isBusy,
  onDeal,
}: {
  schoolClass: ClassView;
  isBusy: boolean;
  onDeal: (dealt: RosterRequest) => void;
}) {
  const [teamCount, setTeamCount] = useState(Math.max(2, teams.length || 5));
  const deal = (): void => {
    const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 0;
    const made = Array.from(
      { length: teamCount },
      (_, index) =>
        teams[index] ?? {
          id: uuid(),
          name: freeName(
            teams.map((team) => team.name),
            index,
          ),
        },
    );
    const dealt = dealtTeams(students.length, teamCount, seed);
    onDeal({
      teams: made,
      students: students.map((student, index) => ({
        ...student,
        teamId: made[dealt[index] ?? 0]?.id ?? null,
      })),
    });
  };
  return (
    <div className="deal-teams">
      <Form.Control
        type="number"
        min={1}
        max={MOST_TEAMS}
        value={teamCount}
        aria-label={say('howManyTeams')}
        onChange={({ target }) => setTeamCount(Math.max(1, Math.min(MOST_TEAMS, Number(target.value) || 1)))}
      />
      <Button variant="light" disabled={isBusy} onClick={deal}>
        <Shuffle size={16} aria-hidden="true" /> {say('teamsByChance')}
      </Button>
    </div>
  );
}

const SHOWN_CHARACTERS = 30;

function listed(names: readonly string[]): string {
  return names
    .map((name) => (name.length > SHOWN_CHARACTERS ? `${name.slice(0, SHOWN_CHARACTERS)}…` : name))
    .join(', ');
}

function RosterProblem({ error }: { error: unknown }) {
  if (!error) return null;
  const [first] = error instanceof ApiFailure ? error.body.fields : [];
  if (!first) return <FailureNote error={error} />;
  return (
    <p className="field-problem" role="alert">
      {say('notKept', { message: first.message })}
    </p>
  );
}

function freeName(taken: readonly string[], index: number): string {
  return (
    TEAM_NAMES.filter((name) => !taken.includes(name))[index - taken.length] ??
    say('team', { index: index + 1 })
  );
}
