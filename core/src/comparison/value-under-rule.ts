import type { UnitDay } from '../growth/index.ts';
import type { NotUpRule } from './types.ts';

/** The value a finding stands for under a rule for units not up yet; undefined when it stands for none. */
export function valueUnder(rule: NotUpRule, finding: UnitDay): number | undefined {
  if (finding.value !== null) return finding.value;
  return rule === 'not_up_is_zero' && finding.state === 'not_emerged' ? 0 : undefined;
}
