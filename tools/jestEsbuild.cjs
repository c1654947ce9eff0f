// TypeScript to CommonJS for Jest, fast: no type check here (tsc does that), source maps inline.
const { createHash } = require('node:crypto');
const { transformSync, version } = require('esbuild');

module.exports = {
  getCacheKey: (source, path) => createHash('sha1').update(`${version}\0${path}\0${source}`).digest('hex'),
  process: (source, path) =>
    transformSync(source, { format: 'cjs', target: 'node20', sourcemap: 'inline', loader: 'ts', sourcefile: path }),
};
