import { parseArgs } from 'node:util';
import { addDays, calendarDay, randomGenerator } from '@bright-sprout/core/shared';
import { cameraOfADay, coverAtAge, drawScene } from '@bright-sprout/core/simulate';
import sharp from 'sharp';
import { v7 as uuid } from 'uuid';

const SIZE = { width: 1600, height: 1200 };
const HALF_GROWN = 9;

const HELP = `A simulated camera above a container: it draws seedlings and sends a photo a day.
  npm run camera -- --key KEY [--address http://127.0.0.1:8080] [--container 1] [--rows 2] [--columns 3]
                    [--past DAYS] [--age DAYS] [--every SECONDS] [--once]
The key comes from Record, Care, Logger. --past sends the photos of so many days first; --age says how many days ago
the seeds were sown, if more.`;

/** A stand-in for a small camera that sends to the API until it is stopped. */
async function run(): Promise<void> {
  const { values } = parseArgs({
    options: {
      key: { type: 'string' },
      address: { type: 'string', default: 'http://127.0.0.1:8080' },
      container: { type: 'string', default: '1' },
      rows: { type: 'string', default: '2' },
      columns: { type: 'string', default: '3' },
      past: { type: 'string', default: '0' },
      age: { type: 'string', default: '0' },
      every: { type: 'string', default: '86400' },
      once: { type: 'boolean', default: false },
    },
  });
  const [rows, columns, past, every] = [values.rows, values.columns, values.past, values.every].map(Number);
  if (!values.key || !(rows && columns && every) || past === undefined || !(past >= 0)) {
    console.log(HELP);
    process.exitCode = 1;
    return;
  }
  const today = calendarDay(new Date().toISOString().slice(0, 10));
  const age = Math.max(Number(values.age), past);
  const send = async (daysAgo: number): Promise<void> => {
    const day = addDays(today, -daysAgo);
    const query = new URLSearchParams({ takenOn: day, container: values.container });
    const answer = await fetch(`${values.address}/api/logger-photos/${uuid()}?${query.toString()}`, {
      method: 'PUT',
      headers: { Authorization: `Bearer ${values.key}`, 'Content-Type': 'application/octet-stream' },
      body: new Uint8Array(await photoAt({ rows, columns }, age - daysAgo)),
    }).catch(() => undefined);
    if (answer?.ok) console.log(`sent the photo of ${day}`);
    else
      console.error(
        answer ? ((await answer.json()) as { message: string }).message : 'No answer; trying again later.',
      );
  };
  for (let daysAgo = past; daysAgo >= 0; daysAgo -= 1) await send(daysAgo);
  if (!values.once) setInterval(() => void send(0), every * 1000);
}

async function photoAt(grid: { rows: number; columns: number }, age: number): Promise<Buffer> {
  const wanted = Array.from({ length: grid.rows * grid.columns }, (_, place) =>
    coverAtAge(age, HALF_GROWN + randomGenerator(place).normal()),
  );
  const { picture } = drawScene(grid, wanted, cameraOfADay(SIZE, randomGenerator(age)), 1);
  const { width, height, data } = picture;
  return sharp(data, { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .jpeg({ quality: 88 })
    .toBuffer();
}

await run();
