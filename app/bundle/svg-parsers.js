// Stands in for the parsers of transforms that react-native-svg uses on phones only; a browser reads transforms
// itself. See ../metro.config.js.
export const parse = () => {
  throw new Error('not in this bundle');
};
