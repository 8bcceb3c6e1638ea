// Stands in for the tabs of phones' own, which Expo Router looks for among the children of every layout; see
// ../metro.config.js.
exports.isNativeTabTrigger = () => false;
