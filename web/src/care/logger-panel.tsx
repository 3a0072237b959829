import { say } from '@bright-sprout/words/care';
import { careRoutes } from '@bright-sprout/contract/care';
import { SENSOR_UNITS, SENSORS } from '@bright-sprout/core/simulate';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { call, sensorDaysQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { Said, FailureNote } from '../shared/ui/index.ts';
import { readLoggerRows } from './logger-file.ts';

const CHUNK = 2000;
const MOST_PROBLEMS = 5;

/** What a logger measured on the chosen day, its key, and its file. */
export function LoggerPanel() {
  const { experiment, day } = useExperiment();
  const queries = useQueryClient();
  const file = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState<readonly string[]>([]);
  const days = useQuery(sensorDaysQuery(experiment.id)).data ?? [];
  const ofDay = SENSORS.flatMap(
    (sensor) => days.find((one) => one.day === day && one.sensor === sensor) ?? [],
  );
  const key = useMutation({
    mutationFn: () => call(careRoutes.loggerKey, { params: { experimentId: experiment.id } }),
  });
  const open = useMutation({
    mutationFn: async (taken: File) => {
      const { default: Papa } = await import('papaparse');
      const { data } = Papa.parse<string[]>(await taken.text(), { skipEmptyLines: 'greedy' });
      const { samples, problems } = readLoggerRows(data);
      if (problems.length > 0) {
        setSaid(problems.slice(0, MOST_PROBLEMS).map(({ line, words }) => say('line', { line, words })));
        if (samples.length === 0) return;
      } else setSaid([]);
      for (let start = 0; start < samples.length; start += CHUNK) {
        const body = { samples: samples.slice(start, start + CHUNK) };
        await call(careRoutes.keepSamples, { params: { experimentId: experiment.id }, body });
      }
      setSaid((before) => [say('valuesKept', { samplesCount: samples.length }), ...before]);
    },
    onSuccess: () => queries.invalidateQueries(sensorDaysQuery(experiment.id)),
  });
  return (
    <div className="logger-panel">
      <h3>{say('logger')}</h3>
      {ofDay.length === 0 && <p className="quiet">{say('noLoggerMeasuredOnThisDayA')}</p>}
      <ul className="sensor-days">
        {ofDay.map(({ sensor, mean, least, most }) => (
          <li key={sensor}>
            {sensor}{' '}
            <b>
              {mean.toFixed(1)} {SENSOR_UNITS[sensor]}
            </b>{' '}
            <span className="quiet">{say('to', { least: least.toFixed(1), most: most.toFixed(1) })}</span>
          </li>
        ))}
      </ul>
      <input
        ref={file}
        type="file"
        accept=".csv,text/csv"
        className="visually-hidden"
        aria-label={say('fileOfALogger')}
        onChange={({ target }) => {
          const [taken] = target.files ?? [];
          if (taken) open.mutate(taken);
          target.value = '';
        }}
      />
      <div className="button-row">
        <Button variant="light" size="sm" disabled={open.isPending} onClick={() => file.current?.click()}>
          {say('openALoggersCsv')}
        </Button>
        <Button variant="light" size="sm" disabled={key.isPending} onClick={() => key.mutate()}>
          {say('newKeyForALogger')}
        </Button>
      </div>
      {key.data && (
        <p className="note-change">
          <Said by={say} code="giveThisToTheLoggerNowIt" values={{ key: key.data.key }} />
        </p>
      )}
      {said.map((line) => (
        <p key={line} role="status" className="quiet">
          {line}
        </p>
      ))}
      <FailureNote error={open.error ?? key.error} />
    </div>
  );
}
