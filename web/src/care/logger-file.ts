import { say } from '@bright-sprout/words/care';
import { type Sensor, SENSORS } from '@bright-sprout/core/simulate';

/** A value of a logger as it is sent. */
export interface LoggedValue {
  readonly sampledAt: string;
  readonly sensor: Sensor;
  readonly value: number;
}

/** What a logger's file holds, and the lines that could not be read. */
export interface LoggerFile {
  readonly samples: readonly LoggedValue[];
  readonly problems: readonly { readonly line: number; readonly words: string }[];
}

const TIME_NAMES: readonly string[] = ['time', 'timestamp', 'sampled_at', 'date', 'date_time', 'datetime'];

/**
 * Reads rows of a logger's CSV: a column of instants, and a column for each sensor named after it (`temperature`,
 * `light`, `soil moisture`); or the tidy form with `time`, `sensor` and `value`.
 * @param rows cells by line, the header first
 */
export function readLoggerRows(rows: readonly (readonly string[])[]): LoggerFile {
  const header = (rows[0] ?? []).map((name) =>
    name
      .trim()
      .toLowerCase()
      .replaceAll(/[ _]+/g, '_')
      .replace(/_?\(.*\)$/, ''),
  );
  const time = header.findIndex((name) => TIME_NAMES.includes(name));
  if (time === -1) {
    const words = say('thereIsNoColumnWithTheTime', { timeNames: TIME_NAMES.join(', ') });
    return { samples: [], problems: [{ line: 1, words }] };
  }
  const tidy = { sensor: header.indexOf('sensor'), value: header.indexOf('value') };
  const columns = SENSORS.map((sensor) => ({ sensor, at: header.indexOf(sensor.replace(' ', '_')) })).filter(
    ({ at }) => at !== -1,
  );
  const isTidy = tidy.sensor !== -1 && tidy.value !== -1;
  if (!isTidy && columns.length === 0) {
    return {
      samples: [],
      problems: [{ line: 1, words: say('nameTheColumns', { sensors: SENSORS.join(', ') }) }],
    };
  }
  const samples: LoggedValue[] = [];
  const problems: { line: number; words: string }[] = [];
  rows.slice(1).forEach((row, index) => {
    const line = index + 2;
    const instant = Date.parse((row[time] ?? '').trim().replace(' ', 'T'));
    if (Number.isNaN(instant)) {
      problems.push({ line, words: say('isNoTimeSuchAs202603', { row: row[time] ?? '' }) });
      return;
    }
    const sampledAt = new Date(instant).toISOString();
    const cells = isTidy
      ? [{ sensor: sensorOf(row[tidy.sensor]), text: row[tidy.value] }]
      : columns.map(({ sensor, at }) => ({ sensor, text: row[at] }));
    for (const { sensor, text } of cells) {
      const value = Number((text ?? '').replace(',', '.'));
      if ((text ?? '').trim() === '' && !isTidy) continue;
      if (sensor && Number.isFinite(value)) samples.push({ sampledAt, sensor, value });
      else
        problems.push({
          line,
          words: say('isNoValueOf', { text: text ?? '', sensor: sensor ?? say('aKnownSensor') }),
        });
    }
  });
  return { samples, problems };
}

function sensorOf(text: string | undefined): Sensor | undefined {
  const plain = (text ?? '').trim().toLowerCase().replaceAll('_', ' ');
  return SENSORS.find((sensor) => sensor === plain);
}
