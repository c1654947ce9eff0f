// Every file of the build goes into the service worker's list; its version is a hash of their names and contents.
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';

const folder = process.argv[2];
const files = (dir) =>
  readdirSync(dir).flatMap((name) => {
    const path = join(dir, name);
    return statSync(path).isDirectory() ? files(path) : [path];
  });
const kept = files(folder).filter((path) => !/(sw\.js|metadata\.json|\.map|\.gz|\.br)$/.test(path));
const hash = createHash('sha256');
for (const path of kept.sort()) hash.update(path).update(readFileSync(path));
const list = ['/', ...kept.map((path) => `/${relative(folder, path)}`).filter((path) => path !== '/index.html')];
const worker = join(folder, 'sw.js');
const source = readFileSync(worker, 'utf8')
  .replace("'__VERSION__'", JSON.stringify(hash.digest('hex').slice(0, 16)))
  .replace("['__PRECACHE__']", JSON.stringify(list));
writeFileSync(worker, source);
