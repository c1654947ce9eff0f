/** The router's stack layout makes one when it is loaded; this app shows none. */
exports.createNativeStackNavigator = () => ({ Navigator: () => null });
