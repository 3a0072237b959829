import { say } from '@bright-sprout/words/comparison';
import type { Agreement } from '@bright-sprout/core/statistics';
import {
  computedText,
  studyWords,
  teamsWords,
  undefinedWords,
  type ValueStyle,
} from '@bright-sprout/core/words';
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
  if (!shown) return <p className="quiet">{say('comparing')}</p>;
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
      <h2 className="tab-title">{say('plantsOrMeasuring')}</h2>
      <Sentences lines={teamsWords(teams, { groups, style, level })} />
      {practice && practice.n > 0 && practice.typicalMm !== null && style.kind === 'length' && (
        <p>
          {say('onDrawnRulersThisClassWasTypically', {
            computedText: computedText(practice.typicalMm, style),
            n: practice.n,
          })}
        </p>
      )}
      {teams.teams.length > 1 ? (
        <Suspense fallback={<div className="panel chart-panel" aria-busy="true" />}>
          <ChartCard
            title={say('teamsBesideEachOther')}
            label={say('whatEachTeamReadLessTheMean')}
            figure={figure}
            table={{
              columns: [
                say('team'),
                say('nPots'),
                say('awayFromTheOthers'),
                say('readTwice'),
                say('bias'),
                say('technicalError'),
              ],
              rows: teams.teams.map(({ team, offset, agreement }) => [
                team,
                offset.n,
                offset.mean.defined ? computedText(offset.mean.value, style) : '–',
                agreement.n,
                agreement.bias.defined ? computedText(agreement.bias.value, style) : '–',
                agreement.technicalError.defined ? computedText(agreement.technicalError.value, style) : '–',
              ]),
            }}
            note={say('aTeamNear0ReadsLikeAll')}
          />
        </Suspense>
      ) : (
        <p>{say('thePotsBelongToNoTeamsSo')}</p>
      )}
      {(level === '11-13' || level === '14+') && (
        <section className="panel" aria-label={say('readingTwice')}>
          <h3>{say('readingTwice')}</h3>
          <PlainTable
            columns={[say('question'), say('test2'), say('figures')]}
            rows={[
              testRow(say('doTeamsDifferTreatmentsTakenInto'), teams.test),
              agreementRow(say('secondReaderMinusFirstBiasAndLimits'), teams.agreement, style),
              agreementRow(say('pictureMinusReaderBiasAndLimits'), teams.byPicture, style),
            ]}
          />
        </section>
      )}
    </>
  );
}

/** Bias and limits of agreement, or why there are none. */
function agreementRow(question: string, { n, bias, limits }: Agreement, style: ValueStyle): string[] {
  const figures =
    limits.defined && bias.defined
      ? say('toN', {
          computedText: computedText(bias.value, style),
          computedText2: computedText(limits.value.low, style),
          computedText3: computedText(limits.value.high, style),
          n,
        })
      : undefinedWords(n === 1 ? 'one_value' : 'nobody_read_twice');
  return [question, 'Bland–Altman', figures];
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
      <h2 className="tab-title">{say('theSamePlanInOtherClassesAnd')}</h2>
      <Sentences lines={studyWords(study, { groups: [], style, level })} />
      {known.length > 1 && (
        <>
          <div className="compare-controls">
            <label className="choice">
              <span>{say('daysSinceSowing2')}</span>
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
              <legend>{say('classes')}</legend>
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
              title={say('classByClass')}
              label={say('meanOfEachTreatmentInEachClass')}
              figure={figure}
              table={{
                columns: [say('class'), say('treatment2'), say('nPots'), say('mean'), say('sd')],
                rows: study.cells.map((cell) => [
                  study.runs.find((run) => run.id === cell.runId)?.name ?? '',
                  cell.group,
                  cell.description.n,
                  cell.description.mean.defined ? computedText(cell.description.mean.value, style) : '–',
                  cell.description.sd.defined ? computedText(cell.description.sd.value, style) : '–',
                ]),
              }}
              note={say('eachPotByItsReadingNearestTo', { age: study.age })}
            />
          </Suspense>
          {(level === '11-13' || level === '14+') && (
            <section className="panel" aria-label={say('classesAsBlocks')}>
              <h3>{say('classesAsBlocks')}</h3>
              <PlainTable
                columns={[say('question'), say('test2'), say('figures')]}
                rows={[
                  testRow(say('doTreatmentsDifferEachClassWithin'), study.treatment),
                  testRow(say('doClassesDiffer'), study.run),
                  testRow(say('doTreatmentsDifferDifferentlyByClass'), study.interaction),
                ]}
              />
            </section>
          )}
        </>
      )}
    </>
  );
}
