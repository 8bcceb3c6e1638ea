// Stands in for what react-native-svg does with drawings that come as text; see ../metro.config.js.
