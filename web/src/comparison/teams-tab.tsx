import { computedText, studyWords, teamsWords, undefinedWords } from '@bright-sprout/core/words';
import { useQuery } from '@tanstack/react-query';
import { Suspense, useMemo, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { ChartCard, studyFigure, teamsFigure } from '../shared/charts/index.ts';
import { practiceQuery, studyQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { type ShownComparison, useChoices, useComparison } from './compare-context.tsx';
import { PlainTable, Sentences, testRow } from './parts.tsx';

/** Teams and classes: is it the plants or the measuring, and does it hold in other classes? */
export function TeamsTab() {
  const { shown, error } = useComparison(['teams'], { groupBy: 'treatment' });
  if (error) return <FailureNote error={error} />;
  if (!shown) return <p className="quiet">Comparing …</p>;
  return (
    <>
      <Teams shown={shown} />
      <Study shown={shown} />
    </>
  );
}

function Teams({ shown }: { shown: ShownComparison }) {
  const { experiment } = useExperiment();
  const { level } = useChoices();
  const { style, groups } = shown;
  const { teams } = shown.comparison;
  const figure = useMemo(
    () => (teams ? teamsFigure(teams, style) : { data: [], layout: {} }),
    [teams, style],
  );
  const practice = useQuery({
    ...practiceQuery(experiment.classId ?? ''),
    enabled: experiment.classId !== null,
  }).data;
  if (!teams) return null;
  return (
    <>
      <h2 className="tab-title">Plants or measuring?</h2>
      <Sentences lines={teamsWords(teams, { groups, style, level })} />
      {practice && practice.n > 0 && practice.typicalMm !== null && style.kind === 'length' && (
        <p>
          On drawn rulers this class was typically off by {computedText(practice.typicalMm, style)} (
          {practice.n} readings).
        </p>
      )}
      {teams.teams.length > 1 ? (
        <Suspense fallback={<div className="panel chart-panel" aria-busy="true" />}>
          <ChartCard
            title="Teams beside each other"
            label="What each team read less the mean of all pots treated the same"
            figure={figure}
            table={{
              columns: ['Team', 'n pots', 'away from the others', 'read twice', 'bias', 'technical error'],
              rows: teams.teams.map(({ team, offset, agreement }) => [
                team,
                offset.n,
                offset.mean.defined ? computedText(offset.mean.value, style) : '–',
                agreement.n,
                agreement.bias.defined ? computedText(agreement.bias.value, style) : '–',
                agreement.technicalError.defined ? computedText(agreement.technicalError.value, style) : '–',
              ]),
            }}
            note="A team near 0 reads like all others. Its pots may differ too: only pots read by two teams can tell."
          />
        </Suspense>
      ) : (
        <p>The pots belong to no teams, so there is nothing to set beside each other.</p>
      )}
      {(level === '11-13' || level === '14+') && (
        <section className="panel" aria-label="Reading twice">
          <h3>Reading twice</h3>
          <PlainTable
            columns={['Question', 'test', 'figures']}
            rows={[
              testRow('Do teams differ, treatments taken into account?', teams.test),
              [
                'Second reader minus first (bias and limits)',
                'Bland–Altman',
                teams.agreement.limits.defined && teams.agreement.bias.defined
                  ? `${computedText(teams.agreement.bias.value, style)} (${computedText(teams.agreement.limits.value.low, style)} to ${computedText(teams.agreement.limits.value.high, style)}), n = ${teams.agreement.n}`
                  : undefinedWords('nobody-read-twice'),
              ],
            ]}
          />
        </section>
      )}
    </>
  );
}

function Study({ shown }: { shown: ShownComparison }) {
  const { experiment } = useExperiment();
  const { level, rule } = useChoices();
  const [age, setAge] = useState<number>();
  const [without, setWithout] = useState<readonly string[]>([]);
  const { data: study, error } = useQuery(
    studyQuery(experiment.id, {
      rule,
      ...(age === undefined ? {} : { age }),
      ...(without.length > 0 ? { without: without.join(',') } : {}),
    }),
  );
  const [known, setKnown] = useState<readonly { id: string; name: string }[]>([]);
  if (study && study.runs.length > known.length) setKnown(study.runs);
  const style = shown.readStyle;
  const figure = useMemo(
    () => (study ? studyFigure(study, style) : { data: [], layout: {} }),
    [study, style],
  );
  if (error) return <FailureNote error={error} />;
  if (!study) return null;
  return (
    <>
      <h2 className="tab-title">The same plan in other classes and years</h2>
      <Sentences lines={studyWords(study, { groups: [], style, level })} />
      {known.length > 1 && (
        <>
          <div className="compare-controls">
            <label className="choice">
              <span>Days since sowing</span>
              <Form.Control
                size="sm"
                type="number"
                min={0}
                max={366}
                value={age ?? study.age}
                onChange={(event) => setAge(Math.max(0, Math.min(366, Number(event.target.value) || 0)))}
              />
            </label>
            <fieldset className="choice">
              <legend>Classes</legend>
              {known.map((run) => (
                <Form.Check
                  key={run.id}
                  id={`run-${run.id}`}
                  label={run.name}
                  checked={!without.includes(run.id)}
                  disabled={run.id === experiment.id}
                  onChange={(event) =>
                    setWithout(
                      event.target.checked ? without.filter((id) => id !== run.id) : [...without, run.id],
                    )
                  }
                />
              ))}
            </fieldset>
          </div>
          <Suspense fallback={<div className="panel chart-panel" aria-busy="true" />}>
            <ChartCard
              title="Class by class"
              label="Mean of each treatment in each class with its interval"
              figure={figure}
              table={{
                columns: ['Class', 'treatment', 'n pots', 'mean', 'SD'],
                rows: study.cells.map((cell) => [
                  study.runs.find((run) => run.id === cell.runId)?.name ?? '',
                  cell.group,
                  cell.description.n,
                  cell.description.mean.defined ? computedText(cell.description.mean.value, style) : '–',
                  cell.description.sd.defined ? computedText(cell.description.sd.value, style) : '–',
                ]),
              }}
              note={`Each pot by its reading nearest to day ${study.age}, a day away at most.`}
            />
          </Suspense>
          {(level === '11-13' || level === '14+') && (
            <section className="panel" aria-label="Classes as blocks">
              <h3>Classes as blocks</h3>
              <PlainTable
                columns={['Question', 'test', 'figures']}
                rows={[
                  testRow('Do treatments differ, each class within itself?', study.treatment),
                  testRow('Do classes differ?', study.run),
                  testRow('Do treatments differ differently by class?', study.interaction),
                ]}
              />
            </section>
          )}
        </>
      )}
    </>
  );
}
