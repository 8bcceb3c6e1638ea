/* global jest */
/**
 * A browser test that failed is run once more when the others of its file are through: two browsers, two
 * databases and two servers share two cores here. `scripts/test` names each that needed it, with what failed
 * the first time.
 */
jest.retryTimes(1, { logErrorsBeforeRetry: true });
