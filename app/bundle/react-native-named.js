// Stands in for the index of react-native-web where a package asks for it by `require`, which reads all of
// it, lists and animations included; see ../metro.config.js. Each name is read when it is first needed. Only
// names that Expo Router asks for stand here; the application’s own imports go past it.
const named = {
  I18nManager: () => require('react-native-web/dist/exports/I18nManager'),
  Image: () => require('react-native-web/dist/exports/Image'),
  Platform: () => require('react-native-web/dist/exports/Platform'),
  Pressable: () => require('react-native-web/dist/exports/Pressable'),
  StyleSheet: () => require('react-native-web/dist/exports/StyleSheet'),
  Text: () => require('react-native-web/dist/exports/Text'),
  View: () => require('react-native-web/dist/exports/View'),
  useColorScheme: () => require('react-native-web/dist/exports/useColorScheme'),
};
for (const name of Object.keys(named)) {
  Object.defineProperty(exports, name, { enumerable: true, get: () => named[name]().default });
}
