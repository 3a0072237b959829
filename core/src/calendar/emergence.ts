import type { Crop, DayRange, SeedFacts } from '../design/index.ts';
import { defined, notDefined, type Outcome } from '../shared/index.ts';

/** The temperature that a crop's and a packet's usual days are taken to be given for, in °C. */
export const USUAL_ROOM_C = 21;

/**
 * Usual days to emergence in a room: the usual range scaled by thermal time above the crop's base temperature, or above
 * the lowest at which it comes up where no base is known: days × (usual − base) ÷ (room − base), no faster than at its
 * best temperature (Garcia-Huidobro, Monteith and Squire 1982).
 * @param temperatureC of the room
 * @returns undefined for a crop without days, or a room in which it does not come up
 */
export function emergenceWindow(
  crop: Pick<Crop, 'temperatureC'>,
  facts: Pick<SeedFacts, 'daysToEmergence'>,
  temperatureC: number,
): Outcome<DayRange> {
  const usual = facts.daysToEmergence;
  if (!usual) return notDefined('no_crop_figures');
  const { min, best, max } = crop.temperatureC;
  const base = crop.temperatureC.base ?? min;
  if (temperatureC <= min || temperatureC > max) return notDefined('temperature_outside');
  const reference = Math.min(USUAL_ROOM_C, best);
  if (reference <= base) return defined(usual);
  const scale = (reference - base) / (Math.min(temperatureC, best) - base);
  return defined({ min: usual.min * scale, max: usual.max * scale });
}
