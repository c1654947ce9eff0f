const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
const resolve = config.resolver.resolveRequest;
// pdf-lib gets an undefined default from tslib's CommonJS build.
config.resolver.resolveRequest = (context, name, platform) =>
  (resolve ?? context.resolveRequest)(context, name === 'tslib' ? 'tslib/tslib.es6.js' : name, platform);
module.exports = config;
