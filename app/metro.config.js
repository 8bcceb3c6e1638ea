const { getDefaultConfig } = require('expo/metro-config');
const path = require('node:path');

const config = getDefaultConfig(__dirname);

// Zod brings along what the app never calls: its messages in some fifty languages, the ways from and to JSON Schema, and
// a compiler of schemas to code, which the content policy would not let run. Together they are a fifth of the first download, so they are left out of the bundle.
const STAND_INS = [
  [/\/locales\/index\.js$/, 'zod-locales.js'],
  [/\/(compile|from-json-schema|to-json-schema|json-schema-generator|json-schema-processors)\.js$/, 'zod-nothing.js'],
];
// The helpers of compiled TypeScript, which pdf-lib asks for, wrap themselves in a way that only Node understands.
const TSLIB = require.resolve('tslib/tslib.es6.js');
config.resolver.resolveRequest = (context, name, platform) => {
  if (name === 'tslib') return { type: 'sourceFile', filePath: TSLIB };
  const fromZod = context.originModulePath.includes(`${path.sep}zod${path.sep}`);
  const standIn = fromZod ? STAND_INS.find(([asked]) => asked.test(name)) : undefined;
  return standIn
    ? { type: 'sourceFile', filePath: path.join(__dirname, 'bundle', standIn[1]) }
    : context.resolveRequest(context, name, platform);
};

// A module is read when something of it is first needed, so that the first screen does not wait for what it does not show. Left out are those that are
// imported for what they do to another one: d3-transition gives every d3-selection what d3-zoom asks of it.
config.transformer.getTransformOptions = async () => ({
  transform: { experimentalImportSupport: false, inlineRequires: true, nonInlinedRequires: ['React', 'react', 'react-native', 'd3-transition'] },
});

module.exports = config;
