/** The reasoning and the command line, the API, the interface in jsdom, and all of it in a real browser. */
const transform = {
  '\\.m?[jt]sx?$': [
    'babel-jest',
    {
      plugins: ['@babel/plugin-transform-dynamic-import'],
      configFile: require.resolve('./babel.config.cjs'),
      caller: { name: 'metro', bundler: 'metro', platform: 'web' },
    },
  ],
};
/**
 * Handed to every module: looked up in the sandbox of a test, they take so long that computing takes half as long
 * again. Date is not among them, since some tests replace it.
 */
const sandboxInjectedGlobals = (
  'Array Boolean Error Infinity JSON Map Math Number Object RangeError RegExp Set String Symbol WeakMap ' +
  'Float64Array Int8Array Int16Array Int32Array Uint8Array Uint16Array Uint32Array'
).split(' ');
/** Names that icons and drawings of the interface have too. */
const DRAWN = ['Map', 'Set', 'Symbol', 'Number', 'String', 'Boolean', 'Error', 'RegExp'];
const ignored = [
  '/node_modules/(?!(@noble|@pause|lucide-react-native|better-auth|@better-auth|better-call|@better-fetch|nanostores|jose|rou3|defu|uncrypto|set-cookie-parser)/)',
];

const expoWeb = require('jest-expo/web/jest-preset.js');

module.exports = {
  projects: [
    {
      displayName: 'core',
      sandboxInjectedGlobals,
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{core,guide,cli}/test/**/*.test.ts'],
      transform,
      transformIgnorePatterns: ignored,
    },
    {
      displayName: 'server',
      sandboxInjectedGlobals,
      testEnvironment: 'node',
      testMatch: ['<rootDir>/server/test/**/*.test.ts'],
      transform,
      transformIgnorePatterns: ignored,
    },
    {
      displayName: 'browser',
      sandboxInjectedGlobals,
      testEnvironment: '<rootDir>/e2e/environment.ts',
      testMatch: ['<rootDir>/e2e/test/**/*.test.ts'],
      transform,
      transformIgnorePatterns: ignored,
    },
    {
      preset: 'jest-expo/web',
      displayName: 'app',
      sandboxInjectedGlobals: sandboxInjectedGlobals.filter((name) => !DRAWN.includes(name)),
      rootDir: '<rootDir>/app',
      testMatch: ['<rootDir>/test/**/*.test.{ts,tsx}'],
      setupFiles: ['<rootDir>/test/setup.cjs'],
      // Of d3 what runs in a test as it is; what an icon looks like is no matter there.
      moduleNameMapper: {
        ...expoWeb.moduleNameMapper,
        '^(d3-(?:scale|array|interpolate|color|format|time|time-format|geo|selection|zoom|transition|drag|dispatch|timer|ease))$':
          '<rootDir>/../node_modules/$1/dist/$1.js',
        '^internmap$': '<rootDir>/../node_modules/internmap/dist/internmap.js',
        '^lucide-react-native/icons/.*$': '<rootDir>/test/icon.cjs',
      },
    },
  ],
};
