// Stands in for zod's ways from and to JSON Schema, which the app never calls; see ../metro.config.js.
export {};
