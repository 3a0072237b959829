import type { Doubt } from '../growth/index.ts';
import { type LengthScale, lengthText } from '../shared/index.ts';

/** What speaks against a value, said kindly and with what to do. `dayName` says a day as people say it. */
export function doubtWords(doubt: Doubt, scale: LengthScale, dayName: (day: string) => string): string {
  const length = (mm: number): string => lengthText(mm, scale);
  switch (doubt.code) {
    case 'shrank':
      return `That is ${length(doubt.byMm)} shorter than on ${dayName(doubt.since)}. Look again, or keep it.`;
    case 'grew-too-fast':
      return `That is ${length(doubt.byMm)} in ${dayCount(doubt.days)}; this crop seldom grows more than ${length(doubt.mostMm)} in that time. Look again, or keep it.`;
    case 'too-tall':
      return `This crop seldom gets taller than ${length(doubt.mostMm)}. Look again, or keep it.`;
    case 'ten-times':
      return `Is the point in the right place? ${length(doubt.likelyMm)} would fit.`;
    case 'other-unit':
      return `Was this read in ${doubt.readAs === 'in' ? 'inches' : 'centimetres'}? Then it is ${length(doubt.likelyMm)}.`;
    case 'was-gone':
      return `This pot was noted as ${doubt.state} on ${dayName(doubt.since)}. Is it the right pot?`;
    case 'too-early':
      return `Day ${doubt.age} is early for this crop: it seldom shows before day ${doubt.earliest}. Is it the right pot?`;
    case 'other-day':
      return `This goes down for ${dayName(doubt.day)}, not for today.`;
    case 'same-for-all':
      return `${doubt.pots} pots in a row with the same value. Look at each one.`;
  }
}

function dayCount(days: number): string {
  return days === 1 ? 'one day' : `${days} days`;
}
