/** Settings of native screens; there are none in a browser. */
exports.initScreensFeatureFlags = () => {};
