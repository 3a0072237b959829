import { say } from '@bright-sprout/words/plans';
import type { ClassView } from '@bright-sprout/contract/classes';
import { planRoutes, type UnitTeamPart } from '@bright-sprout/contract/plans';
import { dealtUnits } from '@bright-sprout/core/design';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link, useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { DealTeams, useSaveRoster } from '../classes/index.ts';
import { call, classesQuery, experimentsQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { Said, FailureNote } from '../shared/ui/index.ts';
import { usePlanEditor } from './plan-editor.tsx';
import { useTeamBrush } from './team-brush.tsx';
import { useGiveToClass } from './use-give-to-class.ts';

/** Which class runs the experiment, and which team has which pot: dealt evenly, or by hand on the layout. */
export function ClassSection() {
  const { experiment } = useExperiment();
  const { form } = usePlanEditor();
  const brush = useTeamBrush();
  const isOwn = experiment.shared === null;
  const classes = useQuery(classesQuery).data?.filter(({ id, shared }) =>
    isOwn ? shared === null : id === experiment.classId,
  );
  const own = classes?.find((one) => one.id === experiment.classId);
  const give = useGiveToClass();
  const dealt = (teams: readonly { id: string }[]): UnitTeamPart[] => {
    if (teams.length === 0) return [];
    const turns = dealtUnits(
      experiment.units.map((unit) => unit.treatmentId),
      teams.length,
    );
    return experiment.units.map(({ id }, index) => ({
      unitId: id,
      teamId: teams[turns[index] ?? 0]?.id ?? null,
    }));
  };
  const choose = (classId: string): void => {
    const chosen = classes?.find((one) => one.id === classId);
    brush.take(undefined);
    give.mutate(
      { classId: chosen?.id ?? null, units: dealt(chosen?.teams ?? []) },
      {
        onSuccess: (given) => {
          // A class that is new to the plan brings its own days; the form must not write the old ones back.
          if (given.plan) form.setValue('calendar', structuredClone(given.plan.calendar));
        },
      },
    );
  };
  return (
    <section className="class-section" aria-label={say('classAndTeams')}>
      <h2>{say('classAndTeams')}</h2>
      {!isOwn && classes?.length === 0 ? (
        <p className="quiet">{say('classNotShared')}</p>
      ) : classes?.length === 0 ? (
        <p className="quiet">
          <Said
            by={say}
            code="makeAClassToGivePotsTo"
            values={{ link: (parts) => <Link to="/classes">{parts}</Link> }}
          />
        </p>
      ) : (
        <Form.Select
          value={experiment.classId ?? ''}
          aria-label={say('classThatRunsIt')}
          disabled={give.isPending || !isOwn}
          onChange={({ target }) => choose(target.value)}
        >
          <option value="">{say('noClass2')}</option>
          {classes?.map(({ id, name, students }) => (
            <option key={id} value={id}>
              {say('students', { name, studentsCount: students.length })}
            </option>
          ))}
        </Form.Select>
      )}
      {own?.teams.length === 0 && isOwn && (
        <MakeTeams
          schoolClass={own}
          onMade={(teams) => give.mutate({ classId: own.id, units: dealt(teams) })}
        />
      )}
      {own && own.teams.length > 0 && (
        <>
          <div className="team-brushes" role="group" aria-label={say('givePotsByHandChooseATeam')}>
            {own.teams.map((team) => (
              <Button
                key={team.id}
                size="sm"
                variant={brush.team?.id === team.id ? 'primary' : 'light'}
                aria-pressed={brush.team?.id === team.id}
                onClick={() => brush.take(brush.team?.id === team.id ? undefined : team)}
              >
                {team.name} <small>{experiment.units.filter((unit) => unit.teamId === team.id).length}</small>
              </Button>
            ))}
            <Button
              size="sm"
              variant="light"
              disabled={give.isPending}
              onClick={() => give.mutate({ classId: own.id, units: dealt(own.teams) })}
            >
              {say('dealEvenly')}
            </Button>
          </div>
          <p className="quiet" aria-live="polite">
            {brush.team
              ? say('chooseThePotsOfOnTheSill', { team: brush.team.name })
              : say('dealEvenlyGivesEachTeamAsEven')}
          </p>
        </>
      )}
      <FailureNote error={give.error} />
      {isOwn && own && classes && <RunInAnother classes={classes.filter(({ id }) => id !== own.id)} />}
    </section>
  );
}

/** Teams for a class that has none yet, and their pots, in one go. */
function MakeTeams({
  schoolClass,
  onMade,
}: {
  schoolClass: ClassView;
  onMade: (teams: ClassView['teams']) => void;
}) {
  const save = useSaveRoster(schoolClass.id);
  return (
    <>
      <p className="quiet">{say('noTeamsYet')}</p>
      <DealTeams
        schoolClass={schoolClass}
        isBusy={save.isPending}
        onDeal={(roster) => save.mutate(roster, { onSuccess: ({ teams }) => onMade(teams) })}
      />
      <FailureNote error={save.error} />
    </>
  );
}

/** Lets another class run the same plan, so that the runs can be compared as one study. */
function RunInAnother({ classes }: { classes: readonly ClassView[] }) {
  const { experiment } = useExperiment();
  const queries = useQueryClient();
  const newId = useRef(uuid());
  const navigate = useNavigate();
  const run = useMutation({
    mutationFn: (classId: string) =>
      call(planRoutes.runInClass, {
        params: { experimentId: experiment.id, newExperimentId: newId.current },
        body: { classId },
      }),
    onSuccess: (made) => {
      void queries.invalidateQueries({ queryKey: experimentsQuery.queryKey });
      void navigate(`/experiments/${made.id}/plan`);
    },
  });
  if (classes.length === 0 || !experiment.plan) return null;
  return (
    <div className="run-in-another">
      <p className="quiet">
        {experiment.studyId !== null && say('runBySeveralClasses')}
        {say('theSamePlanInAnotherClassIs')}
      </p>
      {classes.map(({ id, name }) => (
        <Button key={id} size="sm" variant="light" disabled={run.isPending} onClick={() => run.mutate(id)}>
          {say('runItInToo', { name })}
        </Button>
      ))}
      <FailureNote error={run.error} />
    </div>
  );
}
