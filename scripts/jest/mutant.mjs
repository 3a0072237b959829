/** The one change of a source whose tests are on trial; see `scripts/src/mutants/run-mutants.ts`. */
const mutant = process.env.BRIGHT_SPROUT_MUTANT && JSON.parse(process.env.BRIGHT_SPROUT_MUTANT);

/** A source as it is tested. */
export function mutated(source, path) {
  if (!mutant || !path.endsWith(`/${mutant.source}`)) return source;
  return source.slice(0, mutant.start) + mutant.text + source.slice(mutant.end);
}
