import { lean } from './lean';

const ROUTER = 'node_modules/expo-router/build';
const NATIVE = 'node_modules/react-native-web/dist';
const file = (filePath: string) => ({ type: 'sourceFile', filePath });

describe('what the web build leaves out', () => {
  it.each([
    [`${ROUTER}/layouts/Tabs.js`, `${ROUTER}/exports.js`],
    [`${NATIVE}/exports/FlatList/index.js`, `${NATIVE}/index.js`],
  ])('%s, asked for by %s, is empty', (wanted, origin) =>
    expect(lean(file(wanted), origin)).toEqual({ type: 'empty' }),
  );
  it('a shim stands in where something is called at the start', () => {
    const { filePath } = lean(file(`${ROUTER}/link/Link.js`), `${ROUTER}/link/index.js`) as { filePath: string };
    expect(filePath).toMatch(/metro[\\/]shims[\\/]link\.js$/);
  });
  it.each([
    [`${ROUTER}/views/Navigator.js`, `${ROUTER}/exports.js`],
    [`${ROUTER}/link/Redirect.js`, 'apps/app/metro/shims/link.js'],
    ['apps/app/src/layouts/Tabs.js', 'apps/app/src/x.ts'],
    [`${NATIVE}/exports/View/index.js`, `${NATIVE}/index.js`],
    // Asked for by itself it is meant.
    [`${NATIVE}/exports/FlatList/index.js`, 'apps/app/src/x.ts'],
  ])('%s, asked for by %s, stays', (wanted, origin) => expect(lean(file(wanted), origin)).toEqual(file(wanted)));
  it('what is no file stays', () => expect(lean({ type: 'empty' }, `${ROUTER}/exports.js`)).toEqual({ type: 'empty' }));
});
