import swcJest from '@swc/jest';

/**
 * Names that Jest looks up through an interceptor at every use, as tests run in a context of their own: figures took
 * three to eight times as long. A constant of each module is looked up once.
 */
const GLOBALS = [
  'Math',
  'Number',
  'Array',
  'Map',
  'Set',
  'Object',
  'String',
  'Float64Array',
  'Infinity',
  'NaN',
  'Date',
  'Uint32Array',
];

/** The transformer of TypeScript, and of the package that draws by chance, with those globals as constants. */
export default {
  createTransformer(options) {
    const swc = swcJest.createTransformer(options);
    return {
      ...swc,
      process(original, path, jest) {
        if (path.endsWith('.js')) return { code: `${constants(original)}${original}` };
        const source = mutated(original, path);
        const result = swc.process(source, path, jest);
        return path.includes('/core/src/')
          ? { ...result, code: `${constants(source)}${result.code}` }
          : result;
      },
      getCacheKey: (source, path, jest) =>
        `${swc.getCacheKey(mutated(source, path), path, jest)}-constants-3`,
    };
  },
};

/** The one change of a source whose tests are on trial; see `mutants/run-mutants.ts`. */
const mutant = process.env.BRIGHT_SPROUT_MUTANT && JSON.parse(process.env.BRIGHT_SPROUT_MUTANT);

function mutated(source, path) {
  if (!mutant || !path.endsWith(`/${mutant.source}`)) return source;
  return source.slice(0, mutant.start) + mutant.text + source.slice(mutant.end);
}

function constants(source) {
  const used = GLOBALS.filter((name) => new RegExp(`\\b${name}\\b`).test(source));
  return used.map((name) => `const ${name} = globalThis.${name};`).join(' ');
}
