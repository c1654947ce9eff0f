// Starts (or finds running) the project's own test cluster and hands its addresses to the suites.
const { execFileSync } = require('node:child_process');
const { resolve } = require('node:path');

module.exports = () => {
  const script = resolve(__dirname, '../../../tools/cluster.sh');
  const printed = execFileSync('bash', [script, 'start', 'test'], { encoding: 'utf8' });
  for (const line of printed.trim().split('\n')) {
    const at = line.indexOf('=');
    process.env[`TEST_${line.slice(0, at)}`] = line.slice(at + 1);
  }
};
