const { getDefaultConfig } = require('expo/metro-config');
const path = require('node:path');

const config = getDefaultConfig(__dirname);

// Zod brings along what the app never calls: its messages in some fifty languages, the ways from and to JSON
// Schema, and a compiler of schemas to code, which the content policy would not let run. Together they are a
// fifth of the first download, so they are left out of the bundle.
const ZOD_STAND_INS = [
  [/\/locales\/index\.js$/, 'zod-locales.js'],
  [
    /\/(compile|from-json-schema|to-json-schema|json-schema-generator|json-schema-processors)\.js$/,
    'zod-nothing.js',
  ],
];
// Expo Router brings along stacks, tabs and headers of phones' own, none of which is shown here: the
// application has one slot and draws its own frames. It asks for React Native's index too, which reads all of
// it. Together they are a third of the first program.
const STAND_INS = [
  [/\/expo-router\/build\/fork\/native-stack\/createNativeStackNavigator\.js$/, 'router-stack.js'],
  [/\/expo-router\/build\/native-tabs\/NativeTabTrigger\.js$/, 'router-triggers.js'],
  [
    /\/expo-router\/build\/(layouts\/(stack-utils\/index|BaseStack|Stack|Stack\.web|Tabs|experimental-stack\/index)|views\/(Sitemap|Toast|ErrorBoundary)|react-navigation\/routers\/(TabRouter|DrawerRouter))\.js$/,
    'router-nothing.js',
  ],
  [/\/react-native-screens\/lib\/.*\/index\.js$/, 'router-screens.js'],
  [/\/react-native-web\/dist\/index\.js$/, 'react-native-named.js'],
  // React Native SVG brings along two parsers that it needs on phones only, and a third for drawings that come
  // as text, which none does here.
  [/\/react-native-svg\/lib\/.*\/extract\/transform(ToRn)?\.js$/, 'svg-parsers.js'],
  [/\/react-native-svg\/lib\/module\/lib\/SvgTouchableMixin\.js$/, 'svg-touch.js'],
  [/\/react-native-svg\/lib\/module\/(xml|deprecated|utils\/fetchData)\.js$/, 'svg-nothing.js'],
];
// The helpers of compiled TypeScript, which pdf-lib asks for, wrap themselves in a way that only Node
// understands.
const TSLIB = require.resolve('tslib/tslib.es6.js');
const ours = (name) => ({ type: 'sourceFile', filePath: path.join(__dirname, 'bundle', name) });
config.resolver.resolveRequest = (context, name, platform) => {
  if (name === 'tslib') return { type: 'sourceFile', filePath: TSLIB };
  const fromZod = context.originModulePath.includes(`${path.sep}zod${path.sep}`);
  const inZod = fromZod ? ZOD_STAND_INS.find(([asked]) => asked.test(name)) : undefined;
  if (inZod) return ours(inZod[1]);
  const found = context.resolveRequest(context, name, platform);
  const standIn =
    platform === 'web' && found.type === 'sourceFile'
      ? STAND_INS.find(([path]) => path.test(found.filePath))
      : undefined;
  return standIn ? ours(standIn[1]) : found;
};

// A module is read when something of it is first needed, so that the first screen does not wait for what it
// does not show. Left out are those that are imported for what they do to another one: d3-transition gives
// every d3-selection what d3-zoom asks of it.
config.transformer.getTransformOptions = async () => ({
  transform: {
    experimentalImportSupport: false,
    inlineRequires: true,
    nonInlinedRequires: ['React', 'react', 'react-native', 'd3-transition'],
  },
});

module.exports = config;
