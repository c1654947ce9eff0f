/**
 * Mutation check, run by hand: `node --import tsx bench/mutants.ts <reader|dates|ledger> [how many] [seed]`.
 *
 * Changes one operator, condition, number or text of the group's files at a time, in a copy of core, and runs the group's tests. A
 * change that no test notices survives and is listed. A seeded sample, because all of them would take hours.
 */
import { seededRandom } from '@ours/core';
import { execFileSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import ts from 'typescript';

const READER = 'src/record';
const GROUPS: Readonly<Record<string, { files: string[]; tests: string[] }>> = {
  reader: {
    files: [
      ...['atoms', 'numbers', 'measures', 'countSpans', 'packs', 'nameNumbers', 'dateSpans', 'otherSpans', 'search'],
      ...['settle', 'recordLine', 'opsForRecordedLine', 'thingNames'],
    ].map((name) => `${READER}/${name}.ts`),
    tests: [READER],
  },
  dates: {
    files: [
      ...['readDate', 'civilDate'].map((name) => `src/base/${name}.ts`),
      ...['dueDate', 'openedDays'].map((name) => `src/shelflife/${name}.ts`),
    ],
    tests: ['src/base', 'src/shelflife', `${READER}/recordLine.test.ts`],
  },
  ledger: {
    files: ['src/household/ledger.ts', 'src/stock/stockOps.ts', 'src/household/invertCommand.ts'],
    tests: ['src/household', 'src/stock', `${READER}/opsForRecordedLine.test.ts`],
  },
};

interface Mutant {
  file: string;
  from: number;
  to: number;
  was: string;
  now: string;
  line: number;
}

const OTHER: ReadonlyMap<ts.SyntaxKind, string> = new Map([
  [ts.SyntaxKind.LessThanToken, '<='],
  [ts.SyntaxKind.LessThanEqualsToken, '<'],
  [ts.SyntaxKind.GreaterThanToken, '>='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '>'],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
  [ts.SyntaxKind.AsteriskToken, '/'],
  [ts.SyntaxKind.SlashToken, '*'],
]);

/** Every change that is tried somewhere in a file. */
function mutantsOf(root: string, file: string): Mutant[] {
  const text = readFileSync(join(root, file), 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: Mutant[] = [];
  const add = (node: ts.Node, now: string): void => {
    const from = node.getStart(source);
    const line = source.getLineAndCharacterOfPosition(from).line + 1;
    found.push({ file, from, to: node.end, was: text.slice(from, node.end), now, line });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const other = OTHER.get(node.operatorToken.kind);
      if (other) add(node.operatorToken, other);
    }
    if (ts.isIfStatement(node) || ts.isConditionalExpression(node)) {
      const condition = ts.isIfStatement(node) ? node.expression : node.condition;
      add(condition, 'true');
      add(condition, 'false');
    }
    if (ts.isNumericLiteral(node)) add(node, String(Number(node.text) + 1));
    if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'false');
    if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'true');
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      add(node, node.operand.getText(source));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** Whether a group's tests pass; what runs without end does not. */
function passes(cwd: string, tests: readonly string[]): boolean {
  try {
    execFileSync('npx', ['jest', '--bail', '--silent', ...tests], { cwd, stdio: 'ignore', timeout: 120_000 });
    return true;
  } catch {
    return false;
  }
}

const say = (words: string): void => void process.stdout.write(`${words}\n`);

const [name = 'reader', count = '40', seed = '1'] = process.argv.slice(2);
const group = GROUPS[name];
if (!group) throw new Error(`no group "${name}"; there are ${Object.keys(GROUPS).join(', ')}`);
const home = resolve(import.meta.dirname, '..');
const copy = mkdtempSync(join(tmpdir(), 'nook-mutants-'));
const root = join(copy, 'packages/core');
try {
  cpSync(join(home, 'packages/core'), root, { recursive: true });
  cpSync(join(home, 'tools'), join(copy, 'tools'), { recursive: true });
  symlinkSync(join(home, 'node_modules'), join(copy, 'node_modules'));
  if (!passes(root, group.tests)) throw new Error('the tests fail as they are, so that nothing can be told');
  const random = seededRandom(Number(seed));
  const all = group.files.flatMap((file) => mutantsOf(root, file));
  const chosen: Mutant[] = [];
  while (chosen.length < Math.min(Number(count), all.length)) {
    chosen.push(...all.splice(Math.floor(random() * all.length), 1));
  }
  const survivors: Mutant[] = [];
  chosen.forEach((mutant, at) => {
    const path = join(root, mutant.file);
    const text = readFileSync(path, 'utf8');
    writeFileSync(path, text.slice(0, mutant.from) + mutant.now + text.slice(mutant.to));
    if (passes(root, group.tests)) survivors.push(mutant);
    writeFileSync(path, text);
    if (at % 10 === 9) say(`${at + 1} tried, ${survivors.length} survived`);
  });
  say(
    `${name}: ${chosen.length - survivors.length} of ${chosen.length} killed (of ${chosen.length + all.length} changes there are)`,
  );
  for (const { file, line, was, now } of survivors)
    say(`  ${file}:${line}  ${was.slice(0, 60)}  →  ${now.slice(0, 60)}`);
} finally {
  rmSync(copy, { recursive: true, force: true });
}
