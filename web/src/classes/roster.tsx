import { say } from '@bright-sprout/words/classes';
import { MOST_NAME_CHARACTERS, MOST_STUDENTS } from '@bright-sprout/core/shared';
import type { ClassView, RosterRequest } from '@bright-sprout/contract/classes';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { v7 as uuid } from 'uuid';
import { ApiFailure } from '../shared/api/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { DealTeams } from './deal-teams.tsx';
import { readNames } from './read-names.ts';
import { NameEntry, StudentRow } from './student-row.tsx';
import { freeAvatar } from './avatars.tsx';
import { useSaveRoster } from './use-save-roster.ts';

/** Who is in the class, by display name and picture, and who is in which team. Every change is kept at once. */
export function Roster({ schoolClass }: { schoolClass: ClassView }) {
  const [names, setNames] = useState('');
  const [leftOut, setLeftOut] = useState<readonly string[]>([]);
  const { students, teams } = schoolClass;
  const save = useSaveRoster(schoolClass.id);
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
