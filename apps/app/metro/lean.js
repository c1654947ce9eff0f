/**
 * What the web build leaves out of two packages: parts that they load at the start and that this app never shows. Each would be
 * downloaded, read and run before the first word. A shim stands in where something is called at the start; the rest is empty.
 * The journeys watch that nothing of it is missed.
 */
const path = require('node:path');

const shim = (name) => path.join(__dirname, 'shims', `${name}.js`);

/** By the end of the path, below `expo-router/build`. This app moves between screens with a slot and has its own error screens. */
const ROUTER = {
  'fork/native-stack/createNativeStackNavigator.js': shim('createNativeStackNavigator'),
  'head/index.js': shim('head'),
  'layouts/Stack.js': null,
  'layouts/Tabs.js': null,
  'layouts/experimental-stack/index.js': null,
  'layouts/stack-utils/index.js': null,
  'link/Link.js': shim('link'),
  'native-tabs/NativeTabTrigger.js': null,
  'react-navigation/core/StaticNavigation.js': null,
  'react-navigation/native/createStaticNavigation.js': null,
  'react-navigation/routers/DrawerRouter.js': null,
  'react-navigation/routers/TabRouter.js': null,
  'screensFeatureFlags.js': shim('screensFeatureFlags'),
  'standard-navigation/index.js': null,
  'ui/index.js': null,
  'views/ErrorBoundary.js': null,
  'views/Sitemap.js': shim('unmatched'),
  'views/Toast.js': null,
  'views/Unmatched.js': shim('unmatched'),
};
/** Below `react-native-web/dist/exports`, when all of it is asked for. */
const NATIVE = [
  'ActivityIndicator',
  'Animated',
  'Button',
  'CheckBox',
  'DrawerLayoutAndroid',
  'FlatList',
  'ImageBackground',
  'KeyboardAvoidingView',
  'LayoutAnimation',
  'LogBox',
  'PanResponder',
  'Picker',
  'ProgressBar',
  'RefreshControl',
  'SectionList',
  'Switch',
  'TouchableHighlight',
  'TouchableNativeFeedback',
  'TouchableOpacity',
  'TouchableWithoutFeedback',
  'VirtualizedList',
  'YellowBox',
];
const BUILT = `${path.sep}expo-router${path.sep}build${path.sep}`;
const BARREL = path.join('react-native-web', 'dist', 'index.js');
const isOwn = (origin) => origin.includes(BUILT);

/** @returns the resolution to use instead, or the one that was found */
function lean(resolution, origin) {
  if (resolution.type !== 'sourceFile') return resolution;
  const file = resolution.filePath;
  if (isOwn(origin) && file.includes(BUILT)) {
    const name = file
      .slice(file.indexOf(BUILT) + BUILT.length)
      .split(path.sep)
      .join('/');
    const instead = ROUTER[name];
    if (instead === null) return { type: 'empty' };
    if (instead) return { type: 'sourceFile', filePath: instead };
  }
  if (origin.endsWith(BARREL) && NATIVE.some((name) => file.endsWith(path.join('exports', name, 'index.js'))))
    return { type: 'empty' };
  return resolution;
}

module.exports = { lean };
