import { parseArgs } from 'node:util';
import { randomGenerator } from '@bright-sprout/core/shared';
import { roomAt } from '@bright-sprout/core/simulate';

const HOUR_MS = 3_600_000;
const MOST_SAMPLES = 250;

const HELP = `A simulated logger on the windowsill: temperature, light and soil moisture.
  npm run logger -- --key KEY [--address http://127.0.0.1:8080] [--every SECONDS] [--past DAYS]
The key comes from Record, Care, Logger. With --past it sends the hours of so many days first.`;

/** A stand-in for a small device that streams to the API until it is stopped. */
async function run(): Promise<void> {
  const { values } = parseArgs({
    options: {
      key: { type: 'string' },
      address: { type: 'string', default: 'http://127.0.0.1:8080' },
      every: { type: 'string', default: '60' },
      past: { type: 'string', default: '0' },
      once: { type: 'boolean', default: false },
    },
  });
  const every = Number(values.every);
  const past = Number(values.past);
  if (!values.key || !(every >= 1) || !(past >= 0)) {
    console.log(HELP);
    process.exitCode = 1;
    return;
  }
  const chance = randomGenerator(1);
  const samplesAt = (time: number) =>
    roomAt((time % (300 * 24 * HOUR_MS)) / HOUR_MS, chance).map((sample) => ({
      ...sample,
      sampledAt: new Date(time).toISOString(),
    }));
  const send = async (samples: ReturnType<typeof samplesAt>): Promise<void> => {
    const answer = await fetch(`${values.address}/api/logger-samples`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ key: values.key, samples }),
    }).catch(() => undefined);
    if (answer?.ok) console.log(`${new Date().toISOString()} sent ${samples.length} values`);
    else
      console.error(
        answer ? ((await answer.json()) as { message: string }).message : 'No answer; trying again.',
      );
  };
  const now = Date.now();
  const hours = Array.from({ length: Math.floor(past * 24) }, (_, index) => now - (index + 1) * HOUR_MS);
  const old = hours.reverse().flatMap(samplesAt);
  for (let start = 0; start < old.length; start += MOST_SAMPLES)
    await send(old.slice(start, start + MOST_SAMPLES));
  await send(samplesAt(Date.now()));
  if (!values.once) setInterval(() => void send(samplesAt(Date.now())), every * 1000);
}

await run();
