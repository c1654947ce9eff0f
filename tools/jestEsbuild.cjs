// TypeScript to CommonJS for Jest, fast: no type check here (tsc does that), source maps inline.
const { createHash } = require('node:crypto');
const { transformSync, version } = require('esbuild');

/** Jest runs CommonJS: `import()` becomes a `require`. */
const NO_VM_MODULES = { 'dynamic-import': false };

module.exports = {
  getCacheKey: (source, path) => createHash('sha1').update(`${version}\0cjs-import\0${path}\0${source}`).digest('hex'),
  process: (source, path) =>
    transformSync(source, {
      format: 'cjs',
      target: 'node20',
      sourcemap: 'inline',
      loader: 'ts',
      sourcefile: path,
      supported: NO_VM_MODULES,
    }),
};
