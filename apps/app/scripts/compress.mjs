// Writes a gzip and a brotli copy beside every text of the build.
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const TEXT = /\.(js|css|html|json|svg|webmanifest|ttf)$/;
/** Smaller files are not worth a copy. */
const LEAST_BYTES = 1024;

const compress = (folder) => {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) compress(path);
    else if (TEXT.test(name) && statSync(path).size >= LEAST_BYTES) {
      const body = readFileSync(path);
      writeFileSync(`${path}.gz`, gzipSync(body, { level: 9 }));
      const params = { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: body.length };
      writeFileSync(`${path}.br`, brotliCompressSync(body, { params }));
    }
  }
};
compress(process.argv[2]);
