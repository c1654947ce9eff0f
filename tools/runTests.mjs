// Runs every check there is and adds up what each of them counted. Names of steps may be given to run only those.
// What needs one core runs beside others, a step on each core; what it printed comes when it is done. The journeys run alone: a browser
// and a server take all there is.
import { spawn, spawnSync } from 'node:child_process';
import { closeSync, mkdtempSync, openSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir, totalmem } from 'node:os';
import { join } from 'node:path';

const scratch = mkdtempSync(join(tmpdir(), 'nook-tests-'));
const wanted = new Set(process.argv.slice(2));
const totals = { passed: 0, failed: 0 };
/** A step takes up to three gigabytes. */
const LANES = Math.max(1, Math.min(4, availableParallelism(), Math.floor(totalmem() / 4e9)));

const say = (text) => process.stdout.write(`${text}\n`);

/** Runs a command. What it prints comes at once, or in one piece at its end. @returns whether it did well */
async function run(name, command, args, { quiet, env, ...options } = {}) {
  const log = join(scratch, `${name.replace(/\W/g, '-')}.log`);
  const out = quiet ? openSync(log, 'w') : 'inherit';
  say(`\n== ${name} …`);
  const started = Date.now();
  const child = spawn(command, args, { ...options, stdio: ['ignore', out, out], env: { ...process.env, ...env } });
  const code = await new Promise((done) => child.once('close', done).once('error', () => done(1)));
  if (quiet) {
    closeSync(out);
    process.stdout.write(`\n== ${name}\n${readFileSync(log, 'utf8')}`);
  }
  say(`== ${name}: ${((Date.now() - started) / 1000).toFixed(0)} s`);
  return code === 0;
}

function count(passed, failed) {
  totals.passed += passed;
  totals.failed += failed;
}

/** A check that is one: it holds or it does not. */
const single = (command, args, options) => async (name, quiet) =>
  count(...((await run(name, command, args, { ...options, quiet })) ? [1, 0] : [0, 1]));

const jest = (cwd) => async (name, quiet) => {
  const file = join(scratch, `${name.replace(/\W/g, '-')}.json`);
  const workers = Math.max(1, Math.floor(availableParallelism() / LANES));
  const args = ['jest', '--json', `--outputFile=${file}`, '--reporters=default', `--maxWorkers=${workers}`];
  const ok = await run(name, 'npx', args, { cwd, quiet });
  const { numPassedTests = 0, numFailedTests = 0, numFailedTestSuites = 0 } = readJson(file);
  count(numPassedTests, ok ? 0 : Math.max(1, numFailedTests, numFailedTestSuites));
};

const playwright = async (name, quiet) => {
  const file = join(scratch, 'e2e.json');
  const ok = await run(name, 'npx', ['playwright', 'test', '--reporter=list,json'], {
    cwd: 'e2e',
    env: { PLAYWRIGHT_JSON_OUTPUT_NAME: file },
    quiet,
  });
  const { expected = 0, unexpected = 0, flaky = 0 } = readJson(file).stats ?? {};
  count(expected, ok ? 0 : Math.max(1, unexpected + flaky));
};

function readJson(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return {};
  }
}

/** The longest first, so that the last ones end together. */
const BESIDE_OTHERS = {
  app: jest('apps/app'),
  core: jest('packages/core'),
  server: jest('apps/server'),
  lint: single('npx', ['eslint', '.', '--max-warnings', '0']),
  formatting: single('npx', ['prettier', '--check', '--log-level', 'warn', '.']),
  demo: jest('demo'),
  'types: app': single('npx', ['tsc', '-p', 'apps/app']),
  'types: bench': single('npx', ['tsc', '-p', 'bench']),
  'types: contracts': single('npx', ['tsc', '-p', 'packages/contracts']),
  'types: server': single('npx', ['tsc', '-p', 'apps/server']),
  unused: single('npx', ['knip', '--no-progress', '--no-config-hints']),
  'types: core tests': single('npx', ['tsc', '-p', 'packages/core/tsconfig.test.json']),
  'types: demo': single('npx', ['tsc', '-p', 'demo']),
  'types: core': single('npx', ['tsc', '-p', 'packages/core']),
  'types: e2e': single('npx', ['tsc', '-p', 'e2e']),
  contracts: jest('packages/contracts'),
  styles: single('node', ['tools/checkStyles.mjs']),
};
const ALONE = {
  // It plants faulty files for a moment, which others would find.
  imports: single('node', ['tools/checkImports.mjs']),
  killtest: single('node', ['--import', 'tsx', 'bench/killtest.ts', 'short']),
  e2e: playwright,
};

const stepsOf = (steps) => Object.entries(steps).filter(([name]) => wanted.size === 0 || wanted.has(name));
const queue = stepsOf(BESIDE_OTHERS);
const lane = async () => {
  for (let step = queue.shift(); step; step = queue.shift()) await step[1](step[0], LANES > 1);
};
await Promise.all(Array.from({ length: LANES }, lane));
for (const [name, step] of stepsOf(ALONE)) await step(name, false);
rmSync(scratch, { recursive: true, force: true });
spawnSync('bash', ['tools/cluster.sh', 'stop', 'test'], { stdio: 'inherit' });
say(`\n${totals.passed} passed, ${totals.failed} failed`);
process.exit(totals.failed === 0 && totals.passed > 0 ? 0 : 1);
