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

config.transformer.getTransformOptions = async () => ({ transform: { experimentalImportSupport: false, inlineRequires: true } });

module.exports = config;
