const { getDefaultConfig } = require('expo/metro-config');
const { lean } = require('./metro/lean');

const config = getDefaultConfig(__dirname);
const resolve = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, name, platform) => {
  // pdf-lib gets an undefined default from tslib's CommonJS build.
  const wanted = name === 'tslib' ? 'tslib/tslib.es6.js' : name;
  const found = (resolve ?? context.resolveRequest)(context, wanted, platform);
  return platform === 'web' ? lean(found, context.originModulePath) : found;
};
module.exports = config;
