// Runs every check there is and adds up what each of them counted. Names of steps may be given to run only those.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const scratch = mkdtempSync(join(tmpdir(), 'nook-tests-'));
const wanted = new Set(process.argv.slice(2));
const totals = { passed: 0, failed: 0 };

function run(name, command, args, options = {}) {
  process.stdout.write(`\n== ${name}\n`);
  const started = Date.now();
  const result = spawnSync(command, args, { stdio: 'inherit', ...options, env: { ...process.env, ...options.env } });
  process.stdout.write(`== ${name}: ${((Date.now() - started) / 1000).toFixed(0)} s\n`);
  return result.status === 0;
}

function count(passed, failed) {
  totals.passed += passed;
  totals.failed += failed;
}

/** A check that is one: it holds or it does not. */
const single = (name, command, args, options) => () => count(...(run(name, command, args, options) ? [1, 0] : [0, 1]));

const jest = (name, cwd) => () => {
  const file = join(scratch, `${name.replace(/\W/g, '-')}.json`);
  const ok = run(name, 'npx', ['jest', '--json', `--outputFile=${file}`, '--reporters=default'], { cwd });
  const { numPassedTests = 0, numFailedTests = 0, numFailedTestSuites = 0 } = readJson(file);
  count(numPassedTests, ok ? 0 : Math.max(1, numFailedTests, numFailedTestSuites));
};

const playwright = () => {
  const file = join(scratch, 'e2e.json');
  const ok = run('end to end', 'npx', ['playwright', 'test', '--reporter=list,json'], {
    cwd: 'e2e',
    env: { PLAYWRIGHT_JSON_OUTPUT_NAME: file },
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

const steps = {
  'types: core': single('types: core', 'npx', ['tsc', '-p', 'packages/core']),
  'types: core tests': single('types: core tests', 'npx', ['tsc', '-p', 'packages/core/tsconfig.test.json']),
  'types: contracts': single('types: contracts', 'npx', ['tsc', '-p', 'packages/contracts']),
  'types: demo': single('types: demo', 'npx', ['tsc', '-p', 'demo']),
  'types: server': single('types: server', 'npx', ['tsc', '-p', 'apps/server']),
  'types: app': single('types: app', 'npx', ['tsc', '-p', 'apps/app']),
  'types: bench': single('types: bench', 'npx', ['tsc', '-p', 'bench']),
  'types: e2e': single('types: e2e', 'npx', ['tsc', '-p', 'e2e']),
  lint: single('lint', 'npx', ['eslint', '.', '--max-warnings', '0']),
  formatting: single('formatting', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']),
  imports: single('imports', 'node', ['tools/checkImports.mjs']),
  styles: single('styles', 'node', ['tools/checkStyles.mjs']),
  unused: single('unused', 'npx', ['knip', '--no-progress', '--no-config-hints']),
  core: jest('core', 'packages/core'),
  contracts: jest('contracts', 'packages/contracts'),
  demo: jest('demo', 'demo'),
  server: jest('server', 'apps/server'),
  app: jest('app', 'apps/app'),
  killtest: single('killtest', 'node', ['--import', 'tsx', 'bench/killtest.ts', 'short']),
  e2e: playwright,
};

for (const [name, step] of Object.entries(steps)) if (wanted.size === 0 || wanted.has(name)) step();
rmSync(scratch, { recursive: true, force: true });
spawnSync('bash', ['tools/cluster.sh', 'stop', 'test'], { stdio: 'inherit' });
process.stdout.write(`\n${totals.passed} passed, ${totals.failed} failed\n`);
process.exit(totals.failed === 0 && totals.passed > 0 ? 0 : 1);
