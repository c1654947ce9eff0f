// Every file of the build goes into one of the service worker's two lists; its version is a hash of their names and contents.
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';

/** The parts of a screen are smaller; what is larger and not in the page itself is a library that few screens take. */
const RARE_FROM_BYTES = 60_000;

const folder = process.argv[2];
const files = (dir) =>
  readdirSync(dir).flatMap((name) => {
    const path = join(dir, name);
    return statSync(path).isDirectory() ? files(path) : [path];
  });
const page = readFileSync(join(folder, 'index.html'), 'utf8');
const kept = files(folder).filter((path) => !/(sw\.js|metadata\.json|\.map|\.gz|\.br)$/.test(path));
const hash = createHash('sha256');
for (const path of kept.sort()) hash.update(path).update(readFileSync(path));
const first = ['/'];
const later = [];
for (const path of kept) {
  const url = `/${relative(folder, path)}`;
  if (url === '/index.html') continue;
  const rare = /-latin-ext-|job\.worker|papaparse|^\/print\//.test(url) || statSync(path).size > RARE_FROM_BYTES;
  (rare && !page.includes(`src="${url}"`) ? later : first).push(url);
}
const worker = join(folder, 'sw.js');
const source = readFileSync(worker, 'utf8')
  .replace("'__VERSION__'", JSON.stringify(hash.digest('hex').slice(0, 16)))
  .replace("['__FIRST__']", JSON.stringify(first))
  .replace("['__LATER__']", JSON.stringify(later));
writeFileSync(worker, source);
