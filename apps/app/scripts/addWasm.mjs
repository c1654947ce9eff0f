// The reader of scan codes is compiled code of its own, served from here: the very version that its package was built with.
import { copyFileSync, mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';

const folder = process.argv[2];
const require = createRequire(import.meta.url);
const reader = createRequire(require.resolve('barcode-detector/ponyfill'));
mkdirSync(join(folder, 'vendor'), { recursive: true });
copyFileSync(reader.resolve('zxing-wasm/reader/zxing_reader.wasm'), join(folder, 'vendor/zxing_reader.wasm'));
