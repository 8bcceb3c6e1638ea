// The application begins here. What everything stands on is read bit by bit, a task each, so that nobody's
// finger waits for all of it at once.
require('@expo/metro-runtime');
// How a program that is fetched late is fetched: a language is the first.
require('expo/src/async-require');
const { speakOneOf } = require('./src/text/languages');

const parts = [
  () => require('react-native-web/dist/exports/StyleSheet'),
  () => require('react-dom/client'),
  () => require('expo-router/build/react-navigation/native'),
  // Drawn bit by bit too: a transition gives way to a finger.
  () =>
    require('react').startTransition(() => {
      require('expo-router/entry');
    }),
];

function readNext() {
  parts.shift()();
  if (parts.length > 0) setTimeout(readNext, 0);
}
// Every screen reads its words when it is read itself, so the language is chosen first.
speakOneOf(navigator.languages).then(readNext);
