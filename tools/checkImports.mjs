// The import rules hold, folders form no circle, and both bite: planted violations must be reported.
import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { circlesIn, edgesBetweenFolders } from './folderCircles.mjs';

const ROOMS = ['packages', 'apps/server/src', 'apps/app/src', 'apps/app/app', 'demo/src'];
const cruise = (paths) => {
  const run = spawnSync(
    'npx',
    ['depcruise', '--config', '.dependency-cruiser.cjs', '--output-type', 'json', ...paths],
    {
      encoding: 'utf8',
      maxBuffer: 1 << 28,
    },
  );
  if (run.stdout === '') throw new Error(run.stderr);
  const { modules, summary } = JSON.parse(run.stdout);
  const circles = circlesIn(edgesBetweenFolders(modules));
  return {
    modules: modules.length,
    problems: [
      ...summary.violations.map(({ rule, from, to }) => `${rule.name}: ${from} → ${to}`),
      ...circles.map((circle) => `folders-form-no-circle: ${circle.join(' → ')}`),
    ],
  };
};

const real = cruise(ROOMS);
for (const problem of real.problems) process.stdout.write(`${problem}\n`);
process.stdout.write(`${real.modules} modules, ${real.problems.length} problems.\n`);

const CORE = 'packages/core/src';
const APP = 'apps/app/src';
/** What is planted where, and the rule that has to notice it. */
const PLANTED = [
  [`${CORE}/planted.ts`, `import '../../../apps/server/src/app';`, 'core-knows-nobody'],
  [`${CORE}/find/planted.ts`, `import '../record/settle';`, 'core-folders-meet-at-the-index'],
  [`${CORE}/find/planted2.ts`, `import '../stock/lot.entity';`, 'entities-are-read-through-the-registry'],
  [`${CORE}/base/planted.ts`, `import '../find';`, 'folders-form-no-circle'],
  [`${APP}/features/find/planted.ts`, `import '@/features/stock/LotList';`, 'features-meet-at-the-index'],
  [`${APP}/features/drawing/planted.ts`, `import '@/features/spaces';`, 'folders-form-no-circle'],
  ['apps/app/app/planted.ts', `import '@/features/stock';`, 'routes-take-screens'],
  [`${APP}/kit/planted.ts`, `import '@/shared/useHome';`, 'kit-knows-no-household'],
  [`${APP}/data/planted.ts`, `import '@/kit/text/Text';`, 'data-draws-nothing'],
  [`${APP}/shared/planted.ts`, `import '@/features/sync/words';`, 'shared-below-features'],
];
let missed = 0;
try {
  for (const [file, source] of PLANTED) {
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, `${source}\nexport {};\n`);
  }
  const { problems } = cruise(ROOMS);
  for (const [file, , rule] of PLANTED) {
    // A circle is reported by its folders, any other violation by its file.
    const folder = file.split('/').at(-2);
    const seen = problems.some(
      (problem) =>
        problem.startsWith(`${rule}:`) &&
        (problem.includes(file) || (rule.endsWith('circle') && problem.includes(folder))),
    );
    if (seen) continue;
    missed += 1;
    process.stdout.write(`Not noticed: ${rule} in ${file}\n`);
  }
} finally {
  for (const [file] of PLANTED) rmSync(file, { force: true });
}
process.exit(real.problems.length === 0 && missed === 0 ? 0 : 1);
