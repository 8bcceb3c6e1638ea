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
const ignored = [
  '/node_modules/(?!(@noble|@pause|lucide-react-native|better-auth|@better-auth|better-call|@better-fetch|nanostores|jose|rou3|defu|uncrypto|set-cookie-parser)/)',
];

const expoWeb = require('jest-expo/web/jest-preset.js');

module.exports = {
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{core,guide,cli}/test/**/*.test.ts'],
      transform,
      transformIgnorePatterns: ignored,
    },
    {
      displayName: 'server',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/server/test/**/*.test.ts'],
      transform,
      transformIgnorePatterns: ignored,
    },
    {
      displayName: 'browser',
      testEnvironment: '<rootDir>/e2e/environment.ts',
      testMatch: ['<rootDir>/e2e/test/**/*.test.ts'],
      transform,
      transformIgnorePatterns: ignored,
    },
    {
      preset: 'jest-expo/web',
      displayName: 'app',
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
