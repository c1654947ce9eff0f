module.exports = (api) => {
  const isTest = api.env('test');
  // Jest loads modules the old way; the bundler splits the app where one is imported on demand.
  return { presets: ['babel-preset-expo'], plugins: isTest ? ['@babel/plugin-transform-dynamic-import'] : [] };
};
