// Stands in for react-native-screens, of which Expo Router sets what concerns phones' own screens; see
// ../metro.config.js.
exports.featureFlags = { experiment: {} };
