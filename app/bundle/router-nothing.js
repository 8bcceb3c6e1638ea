// Stands in for parts of Expo Router that the application has no use for; see ../metro.config.js.
