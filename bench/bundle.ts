import { chromium } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readFileSync, rmSync, statSync, symlinkSync, writeFileSync } from 'node:fs';
import { once } from 'node:events';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { extname, join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import { launchOptions } from '../e2e/launchOptions';
import { quantile, table } from './table';

const root = resolve(import.meta.dirname, '..');
const RUNS = 5;
const SLOWDOWN = 4;
/** A slow line, as browsers' own tools name it: 150 ms there and back, 1.6 Mbit/s to the device. */
const SLOW_LINE = { offline: false, latency: 150, downloadThroughput: 200_000, uploadThroughput: 93_750 };
const TYPES: Record<string, string> = {
  '.html': 'text/html',
  '.js': 'text/javascript',
  '.ttf': 'font/ttf',
  '.woff2': 'font/woff2',
  '.svg': 'image/svg+xml',
};

/** Cold start in bytes and time beside an empty app of the same stack, both served the same way. */
export async function benchBundle(): Promise<void> {
  const ours = join(root, 'apps/app/dist');
  if (!existsSync(ours)) {
    process.stdout.write('\nCold start: the app is not built; run ./run demo first.\n');
    return;
  }
  const empty = buildEmptyApp();
  const a = await coldStart(empty, 'text=nothing here');
  const b = await coldStart(ours, 'text=Every Nook');
  table(`Cold start (an empty cache, CPU slowed ${SLOWDOWN} times, a slow line)`, [
    ['what', 'files', 'gzip KB', 'first words ms (median)', 'bytes / empty', 'time / empty'],
    ['an empty app of the same stack', a.files, a.kilobytes, a.milliseconds, 1, 1],
    [
      'Every Nook, sign-in',
      b.files,
      b.kilobytes,
      b.milliseconds,
      b.kilobytes / a.kilobytes,
      b.milliseconds / a.milliseconds,
    ],
  ]);
}

/** The same Expo, Router and Tamagui, one screen with one line. Built once and kept beside other local data. */
function buildEmptyApp(): string {
  const folder = join(root, 'apps/app/.expo/empty-app');
  const built = join(folder, 'dist');
  if (existsSync(join(built, 'index.html'))) return built;
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(join(folder, 'app'), { recursive: true });
  // As the stack comes: what this app leaves out of it is part of what is compared.
  for (const file of ['app.json', 'babel.config.js', 'package.json'])
    cpSync(join(root, 'apps/app', file), join(folder, file));
  mkdirSync(join(folder, 'src/ui'), { recursive: true });
  for (const file of ['tamagui.config.ts', 'palette.ts'])
    cpSync(join(root, 'apps/app/src/kit/theme', file), join(folder, 'src/ui', file));
  symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'));
  writeFileSync(
    join(folder, 'app/_layout.tsx'),
    "import { Slot } from 'expo-router';\nimport { TamaguiProvider } from 'tamagui';\nimport { config } from '../src/ui/tamagui.config';\nexport default () => (<TamaguiProvider config={config} defaultTheme=\"light\"><Slot /></TamaguiProvider>);\n",
  );
  writeFileSync(
    join(folder, 'app/index.tsx'),
    "import { Text } from 'tamagui';\nexport default () => <Text>nothing here</Text>;\n",
  );
  execFileSync('npx', ['expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
    cwd: folder,
    env: { ...process.env, CI: '1', EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1' },
    stdio: 'ignore',
  });
  return built;
}

interface Start {
  files: number;
  kilobytes: number;
  milliseconds: number;
}

async function coldStart(folder: string, words: string): Promise<Start> {
  const sent = { files: 0, bytes: 0 };
  const compressed = new Map<string, Buffer>();
  const server = createServer((req, res) => {
    const path = join(folder, decodeURIComponent(new URL(req.url ?? '/', 'http://x').pathname));
    if (req.url?.startsWith('/api/'))
      return void res
        .writeHead(401, { 'content-type': 'application/problem+json' })
        .end('{"code":"not_signed_in","status":401}');
    const file = existsSync(path) && statSync(path).isFile() ? path : join(folder, 'index.html');
    const body = compressed.get(file) ?? gzipSync(readFileSync(file), { level: 9 });
    compressed.set(file, body);
    sent.files++;
    sent.bytes += body.length;
    res
      .writeHead(200, {
        'content-type': TYPES[extname(file)] ?? 'application/octet-stream',
        'content-encoding': 'gzip',
      })
      .end(body);
  }).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}/`;
  const browser = await chromium.launch(launchOptions);
  const times: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    Object.assign(sent, { files: 0, bytes: 0 });
    const context = await browser.newContext({ serviceWorkers: 'block' });
    const page = await context.newPage();
    const devtools = await context.newCDPSession(page);
    await devtools.send('Network.enable');
    await devtools.send('Network.emulateNetworkConditions', SLOW_LINE);
    await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN });
    const started = performance.now();
    await page.goto(url, { waitUntil: 'commit' });
    await page.locator(words).first().waitFor();
    times.push(performance.now() - started);
    await context.close();
  }
  await browser.close();
  server.close();
  return { files: sent.files, kilobytes: sent.bytes / 1024, milliseconds: quantile(times, 0.5) };
}
