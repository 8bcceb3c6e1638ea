const { getDefaultConfig } = require('expo/metro-config');
const path = require('node:path');

const config = getDefaultConfig(__dirname);

// Zod brings its error messages in some fifty languages along, 60 kB packed. Only English ones are ever shown.
const ENGLISH_ONLY = path.join(__dirname, 'zod-locales.js');
config.resolver.resolveRequest = (context, name, platform) => {
  const locales = name.endsWith('/locales/index.js') && context.originModulePath.includes(`${path.sep}zod${path.sep}`);
  return locales ? { type: 'sourceFile', filePath: ENGLISH_ONLY } : context.resolveRequest(context, name, platform);
};

module.exports = config;
