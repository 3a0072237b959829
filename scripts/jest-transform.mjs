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
];

/** The transformer of TypeScript, with the globals that figures use as constants of the module. */
export default {
  createTransformer(options) {
    const swc = swcJest.createTransformer(options);
    return {
      ...swc,
      process(source, path, jest) {
        const result = swc.process(source, path, jest);
        return path.includes('/core/src/')
          ? { ...result, code: `${constants(source)}${result.code}` }
          : result;
      },
      getCacheKey: (source, path, jest) => `${swc.getCacheKey(source, path, jest)}-constants-2`,
    };
  },
};

function constants(source) {
  const used = GLOBALS.filter((name) => new RegExp(`\\b${name}\\b`).test(source));
  return used.map((name) => `const ${name} = globalThis.${name};`).join(' ');
}
