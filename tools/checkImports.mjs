// The import rules hold, and they bite: a planted violation in a scratch file must be reported.
import { spawnSync } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';

const PLANTED = 'packages/core/src/planted.violation.ts';
const cruise = (...paths) =>
  spawnSync('npx', ['depcruise', '--config', '.dependency-cruiser.cjs', '--output-type', 'err', ...paths], {
    encoding: 'utf8',
  });

const real = cruise('packages', 'apps/server/src', 'apps/app/src', 'apps/app/app', 'demo/src');
process.stdout.write(real.stdout + real.stderr);

writeFileSync(
  PLANTED,
  "import { hostname } from 'node:os';\nimport '../../../apps/server/src/app';\nexport const name = hostname();\n",
);
const planted = cruise('packages/core/src');
rmSync(PLANTED);
const bites = planted.status !== 0 && planted.stdout.includes('core-knows-nobody');
if (!bites) process.stdout.write(`The planted violation was not noticed:\n${planted.stdout}${planted.stderr}`);
process.exit(real.status === 0 && bites ? 0 : 1);
