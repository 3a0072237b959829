import { randomGenerator, shuffled } from '../shared/index.ts';

/**
 * Students dealt to teams by chance, as evenly as can be.
 * @returns the index of a team for each student; the same seed gives the same teams
 */
export function dealtTeams(students: number, teams: number, seed: number): number[] {
  const places = Array.from({ length: students }, (_, index) => index % teams);
  return shuffled(places, randomGenerator(seed));
}

/**
 * Units dealt to teams so that every team gets as even a share of every treatment as can be: a difference
 * between treatments is then no difference between teams.
 * @param treatments treatment of each unit, in walking order
 * @returns the index of a team for each unit
 */
export function dealtUnits(treatments: readonly string[], teams: number): number[] {
  const inTurn = treatments
    .map((treatment, unit) => ({ treatment, unit }))
    .sort((a, b) => (a.treatment < b.treatment ? -1 : a.treatment > b.treatment ? 1 : a.unit - b.unit));
  const dealt = new Array<number>(treatments.length).fill(0);
  inTurn.forEach(({ unit }, turn) => {
    dealt[unit] = turn % teams;
  });
  return dealt;
}
