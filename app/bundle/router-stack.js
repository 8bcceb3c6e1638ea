// Stands in for the native stack, of which Expo Router makes one when it is read, whether or not one is
// shown; see ../metro.config.js.
exports.createNativeStackNavigator = () => ({
  Navigator: () => {
    throw new Error('not in this bundle');
  },
});
