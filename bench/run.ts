/**
 * Ratios side by side in one run; no limits, nothing fails. `npm run bench` starts what it needs (the test cluster) and
 * wants the app built (./run demo or ./run test did that).
 */
import { benchBundle } from './bundle';
import { benchCommands } from './commands';
import { benchDevice } from './device';
import { benchDeviceQueue } from './deviceQueue';
import { benchFind } from './find';
import { benchFit } from './fit';
import { benchFitCounts } from './fitCounts';
import { benchForecast, benchOutlookTime } from './forecast';
import { benchPlacement } from './placement';
import { benchPlans } from './plans';
import { benchReader } from './reader';
import { benchUseRebuild, benchUseRebuildOnServer } from './useRebuild';

process.stdout.write(`Node.js ${process.version}, ${new Date().toISOString().slice(0, 10)}\n`);
benchFind();
benchReader();
benchFitCounts();
benchDevice();
benchForecast();
benchOutlookTime();
benchPlacement();
benchPlans();
benchUseRebuild();
await benchUseRebuildOnServer();
await benchFit();
await benchCommands();
await benchDeviceQueue();
await benchBundle();
