// The typefaces that ship with the app, for the web: each in two parts by the range of letters, of which a page fetches what it
// shows. Until one is there, words stand in the browser's own.
import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const folder = process.argv[2];
const require = createRequire(import.meta.url);
// Named as the theme names them: each weight is a family of its own.
const FACES = [
  ['@fontsource/atkinson-hyperlegible-next', 400, 'AtkinsonHyperlegibleNext_400Regular'],
  ['@fontsource/atkinson-hyperlegible-next', 600, 'AtkinsonHyperlegibleNext_600SemiBold'],
  ['@fontsource/atkinson-hyperlegible-next', 700, 'AtkinsonHyperlegibleNext_700Bold'],
  ['@fontsource/atkinson-hyperlegible-mono', 400, 'AtkinsonHyperlegibleMono_400Regular'],
  ['@fontsource/atkinson-hyperlegible-mono', 700, 'AtkinsonHyperlegibleMono_700Bold'],
];
const into = '_expo/static/fonts';
mkdirSync(join(folder, into), { recursive: true });
const rules = FACES.flatMap(([name, weight, family]) => {
  const from = dirname(require.resolve(`${name}/package.json`));
  const ranges = JSON.parse(readFileSync(join(from, 'unicode.json'), 'utf8'));
  return ['latin', 'latin-ext'].map((part) => {
    const file = `${name.split('/')[1]}-${part}-${weight}-normal`;
    const bytes = readFileSync(join(from, 'files', `${file}.woff2`));
    const hashed = `${into}/${file}-${createHash('md5').update(bytes).digest('hex')}.woff2`;
    writeFileSync(join(folder, hashed), bytes);
    return `@font-face{font-family:${family};font-display:swap;src:url(/${hashed}) format('woff2');unicode-range:${ranges[part]}}`;
  });
});
const page = join(folder, 'index.html');
const html = readFileSync(page, 'utf8');
if (!html.includes('/* typefaces */')) throw new Error('index.html has no place for the typefaces');
writeFileSync(page, html.replace('/* typefaces */', rules.join('\n      ')));

// The same as files that a printed page can hold.
const PRINTED = {
  bold: '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
  regular: '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  mono: '@expo-google-fonts/atkinson-hyperlegible-mono/700Bold/AtkinsonHyperlegibleMono_700Bold.ttf',
};
mkdirSync(join(folder, 'print'), { recursive: true });
for (const [name, file] of Object.entries(PRINTED))
  writeFileSync(join(folder, 'print', `${name}.ttf`), readFileSync(require.resolve(file)));
