import { mergePlans, type Plan } from '@bright-sprout/core/design';
import { startTemporaryApplication } from '@bright-sprout/scripts';
import { LIMITS } from '../hostile.ts';
import type { Outcome } from '../report.ts';
import { makeSchool, type SownExperiment } from '../school.ts';

/** Two windows change one plan in turn and at once, each from the version that it saw last. */
export async function tryTwoWindows(isShort: boolean): Promise<Outcome[]> {
  const rounds = isShort ? 10 : 60;
  const application = await startTemporaryApplication(LIMITS, true);
  try {
    const { teacher, experiment } = await makeSchool(application.address, 1);
    const path = `/experiments/${experiment.id}`;
    const load = () => teacher.must<SownExperiment>('GET', path);
    const windows = [
      { part: 'hypothesis', base: await load(), kept: '' },
      { part: 'question', base: await load(), kept: '' },
    ];
    let conflicts = 0;
    let lost = 0;
    const save = async (window: (typeof windows)[number], words: string): Promise<void> => {
      const mine = { ...window.base.plan, [window.part]: words };
      let { base } = window;
      let plan = mine;
      for (let attempt = 0; attempt < 10; attempt += 1) {
        const answer = await teacher.send('PUT', `${path}/plan`, { ...plan, version: base.version });
        if (answer.status === 200) {
          window.base = answer.body as SownExperiment;
          window.kept = words;
          return;
        }
        if (answer.status !== 409) throw new Error(`a plan was answered ${answer.status}`);
        conflicts += 1;
        const latest = await load();
        plan = mergePlans(
          base.plan as unknown as Plan,
          plan as unknown as Plan,
          latest.plan as unknown as Plan,
        ).plan as unknown as typeof plan;
        base = latest;
      }
      throw new Error('a plan could not be saved in ten tries');
    };
    for (let round = 0; round < rounds; round += 1) {
      await Promise.all(windows.map((window, index) => save(window, `Window ${index}, round ${round}?`)));
      const now = await load();
      lost += windows.filter(({ part, kept }) => now.plan[part] !== kept).length;
    }
    const faults = [
      ...(lost > 0 ? [`${lost} changes of another window were erased`] : []),
      ...(conflicts === 0 ? ['the windows never met: the trial tries nothing'] : []),
    ];
    return [
      {
        name: 'two windows',
        figures: {
          acknowledged: rounds * 2,
          stored: rounds * 2 - lost,
          lost,
          doubled: 0,
          wrong: 0,
          merged: conflicts,
        },
        faults,
      },
    ];
  } finally {
    await application.stop();
  }
}
