import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/lessons';
import { type PlantOnDay, watchedRows } from '@bright-sprout/core/lessons';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { classesQuery, journalQuery, predictionsQuery } from '../../shared/api/index.ts';
import { PhotoDays } from '../../photos/index.ts';
import { treatmentOf, useExperiment } from '../../shared/experiment/index.ts';
import { TreatmentMark } from '../../shared/plants/index.ts';
import { CurvesDrawing } from '../curves-drawing.tsx';
import { GrowthRows } from '../growth-rows.tsx';
import type { LessonNow } from '../lesson-now.ts';
import { EntryList } from './entry-list.tsx';
import type { PaperProps } from './papers-page.tsx';

/** Pots of a page whose photos still fit on it. */
const MOST_PICTURED = 6;

interface Owner {
  readonly key: string;
  /** Empty where no name is to stand. */
  readonly name: string;
  readonly team: string;
  readonly plants: readonly PlantOnDay[];
}

/** A page for each team, or for each child where names are wanted: the own pots' growth, chart, pictures and guess. */
export function StudentPages({ now, hasNames }: PaperProps) {
  const { experiment } = useExperiment();
  const schoolClass = useQuery(classesQuery).data?.find(({ id }) => id === experiment.classId);
  const [only, setOnly] = useState('');
  const teams = [...new Set(now.plants.map(({ unit }) => unit.team))].sort();
  const plantsOf = (team: string): PlantOnDay[] =>
    teams.length > 1 || teams[0] !== ''
      ? now.plants.filter(({ unit }) => unit.team === team)
      : [...now.plants];
  const teamName = (teamId: string | null): string =>
    schoolClass?.teams.find(({ id }) => id === teamId)?.name ?? '';
  const owners: Owner[] =
    hasNames && schoolClass && schoolClass.students.length > 0
      ? schoolClass.students.map(({ id, displayName, teamId }) => ({
          key: id,
          name: displayName,
          team: teamName(teamId),
          plants: plantsOf(teamName(teamId)),
        }))
      : teams.map((team) => ({ key: team, name: '', team, plants: plantsOf(team) }));
  const chosen = owners.filter(({ key }) => only === '' || key === only);
  return (
    <>
      <Form.Select
        size="sm"
        className="not-printed"
        aria-label={say('whosePage')}
        value={only}
        onChange={({ target }) => setOnly(target.value)}
      >
        <option value="">{say('allPages', { pages: owners.length })}</option>
        {owners.map(({ key, name, team }) => (
          <option key={key} value={key}>
            {name || team || say('everybody')}
          </option>
        ))}
      </Form.Select>
      {chosen.map((owner) => (
        <StudentPage key={owner.key} owner={owner} now={now} hasNames={hasNames} />
      ))}
    </>
  );
}

function StudentPage({ owner, now, hasNames }: { owner: Owner; now: LessonNow; hasNames: boolean }) {
  const { experiment, variable } = useExperiment();
  const { name, team, plants } = owner;
  const own = useMemo(() => new Set(plants.map(({ unit }) => unit.id)), [plants]);
  const entries = useQuery(journalQuery(experiment.id)).data ?? [];
  const guesses = useQuery(predictionsQuery(experiment.id)).data ?? [];
  const guess = name === '' ? undefined : guesses.findLast(({ observer }) => observer === name)?.choice;
  const mine = entries.filter(
    (entry) =>
      !entry.isHidden &&
      entry.unitId !== null &&
      own.has(entry.unitId) &&
      (name === '' || entry.observer === name),
  );
  const words = now.shown?.comparison.words;
  return (
    <section className="student-page">
      <header>
        <p className="sheet-kicker">{experiment.question}</p>
        <h1>{name || (team === '' ? say('ourPots') : say('potsOfTeam', { team }))}</h1>
        {name === '' && <p className="name-line">{say('nameLine')}</p>}
      </header>
      <div className="student-tables">
        {plants.map(({ unit }) => (
          <GrowthTable key={unit.id} unitId={unit.id} now={now} />
        ))}
      </div>
      {now.shown && (
        <CurvesDrawing
          comparison={{
            ...now.shown.comparison,
            unitCurves: now.shown.comparison.unitCurves.filter(({ unitId }) => own.has(unitId)),
            groups: now.shown.comparison.groups.map((group) => ({
              ...group,
              points: group.points.filter(({ unitId }) => own.has(unitId)),
            })),
          }}
          groups={now.groups}
          style={now.style}
          variableName={variable.name}
          isOwn
        />
      )}
      {plants.length <= MOST_PICTURED && <PhotoDays until={now.day} potIds={own} />}
      {guess !== undefined && <p>{say('youGuessed', { choice: guess })}</p>}
      {words && <p>{words.headline}</p>}
      <EntryList entries={mine.slice(-4)} hasNames={hasNames} />
    </section>
  );
}

/** Readings of a pot by week and last, with the change since the one before in the table. */
function GrowthTable({ unitId, now }: { unitId: string; now: LessonNow }) {
  const { experiment } = useExperiment();
  const unit = experiment.units.find(({ id }) => id === unitId);
  const rows = watchedRows(now.histories.get(unitId) ?? [], now.day);
  if (!unit) return null;
  const treatment = treatmentOf(experiment, unit);
  return (
    <table>
      <caption>
        <TreatmentMark style={treatment.style} size={13} />{' '}
        {allOf([say('potNumber', { number: unit.number }), treatment.name])}
      </caption>
      <GrowthRows rows={rows} style={now.style} />
    </table>
  );
}
