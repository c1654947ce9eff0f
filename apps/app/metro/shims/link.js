/** Links of this app are buttons of its own; of the router's links it uses the redirect. */
exports.Redirect = require('expo-router/build/link/Redirect').Redirect;
