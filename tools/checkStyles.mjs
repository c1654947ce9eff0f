// Outside the kit a screen takes its colours from the theme and its distances, type sizes and corners from the tokens.
// The tokens are read from the theme itself; planted violations show that the check bites.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const THEME = readFileSync('apps/app/src/kit/theme/tamagui.config.ts', 'utf8');
/** The numbers of a scale in the theme, such as `const space = { 0: 0, 1: 4 }`. */
const scale = (name) => {
  const found = new RegExp(`(?:const ${name} = |${name}: )\\{([^}]*)\\}`).exec(THEME);
  if (!found) throw new Error(`The theme has no scale called ${name}.`);
  return new Set([...found[1].matchAll(/:\s*(\d+)/g)].map(([, number]) => Number(number)));
};
const [space, radius, sizes, lines] = ['space', 'radius', 'sizes', 'lines'].map(scale);
const SCALES = [
  [/^(?:padding|margin)(?:Top|Bottom|Left|Right|Horizontal|Vertical)?$|^(?:row|column)?[gG]ap$/, space],
  [/^border(?:Top|Bottom)?(?:Left|Right)?Radius$/, radius],
  [/^fontSize$/, sizes],
  [/^lineHeight$/, lines],
];

/** @returns a sentence for each raw colour and each number that is no token */
function problemsIn(source) {
  const problems = [];
  for (const [, colour] of source.matchAll(/['"`](#[0-9a-fA-F]{3,8}|rgba?\([^)]*\))['"`]/g))
    problems.push(`raw colour ${colour}`);
  for (const [, name, number] of source.matchAll(/\b(\w+)=\{(-?\d+)\}/g)) {
    const tokens = SCALES.find(([names]) => names.test(name))?.[1];
    if (tokens && !tokens.has(Math.abs(Number(number)))) problems.push(`${name} ${number} is no token`);
  }
  return problems;
}

const filesIn = (folder) =>
  readdirSync(folder, { recursive: true })
    .map((file) => join(folder, file))
    .filter((file) => /\.tsx?$/.test(file) && !/\.test(-support)?\./.test(file));

let failed = 0;
for (const file of ['apps/app/app', 'apps/app/src/shared', 'apps/app/src/features'].flatMap(filesIn))
  for (const problem of problemsIn(readFileSync(file, 'utf8'))) {
    failed += 1;
    process.stdout.write(`${file}: ${problem}\n`);
  }

const PLANTED = [
  ['<Text color="#FF0000" />', 1],
  ["fill={'rgba(0,0,0,0.5)'}", 1],
  ['<XStack padding={17} gap={8} />', 1],
  ['<Text fontSize={17} lineHeight={23} />', 2],
  ['<XStack padding={16} width={311} borderRadius={10} />', 0],
];
for (const [source, expected] of PLANTED)
  if (problemsIn(source).length !== expected) {
    failed += 1;
    process.stdout.write(`Planted, and judged wrongly: ${source}\n`);
  }
process.exit(failed === 0 ? 0 : 1);
