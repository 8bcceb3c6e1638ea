// Stands in for zod's ways from and to JSON Schema and its compiler, which the app never calls; see
// ../metro.config.js.
const notHere = () => {
  throw new Error('not in this bundle');
};
// Every schema is given these two as methods when it is made.
export const createToJSONSchemaMethod = () => notHere;
export const createStandardJSONSchemaMethod = () => notHere;
