/** Every `@example` in core is code, and says what comes out of it. This runs them all. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as core from './index';

interface Example {
  file: string;
  code: string;
  expected: string;
}

/** The answer stands behind the code, or on the line below. */
const EXAMPLE = /^ \* @example (.*)(?:\n \*( \/\/=> .*))?$/gm;

const examples: Example[] = readdirSync(__dirname, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.includes('.test'))
  .flatMap((file) =>
    [...readFileSync(join(__dirname, file), 'utf8').matchAll(EXAMPLE)].map(([, line = '', below = '']) => {
      const [code = '', expected = ''] = `${line}${below}`.split(' //=> ');
      // TypeScript's mark for "is there" means nothing at run time.
      return { file, code: code.replaceAll(')!', ')'), expected: expected.split(' // ')[0]! };
    }),
  );

function evaluate(code: string, names: Record<string, unknown>): unknown {
  return new Function(...Object.keys(names), `return (${code});`)(...Object.values(names)) as unknown;
}

/** Numbers to nine places: angles go through sines. */
const rounded = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value), (_, one: unknown) =>
    typeof one === 'number' ? Math.round(one * 1e9) / 1e9 + 0 : one,
  ) as unknown;

describe('the examples in core’s documentation', () => {
  it('there are some, and each says what comes out', () => {
    expect(examples.length).toBeGreaterThan(20);
    expect(examples.filter(({ expected }) => expected === '')).toEqual([]);
  });
  it.each(examples)('$file: $code', ({ file, code, expected }) => {
    // What core does not offer to others is taken from its own file.
    const own = jest.requireActual<Record<string, unknown>>(join(__dirname, file));
    const names = { ...core, ...own };
    expect(rounded(evaluate(code, names))).toEqual(rounded(evaluate(expected, {})));
  });
});
