import { say } from '@bright-sprout/words/classes';
import type { ClassView, RosterRequest } from '@bright-sprout/contract/classes';
import { dealtTeams } from '@bright-sprout/core/design';
import { Shuffle } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { v7 as uuid } from 'uuid';

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

/** Deals the students, if there are any yet, to teams by chance; teams that there are keep their names. */
export function DealTeams({
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

function freeName(taken: readonly string[], index: number): string {
  return (
    TEAM_NAMES.filter((name) => !taken.includes(name))[index - taken.length] ??
    say('team', { index: index + 1 })
  );
}
