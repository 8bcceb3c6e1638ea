import { ATTACKS } from '../../bench/faults/hostile';
import { runFaults } from '../../bench/faults/run';

/**
 * The short form of `npm run bench:faults`: the application's own store and notebook, a real server and
 * database, and everything that can break.
 */

jest.setTimeout(240_000);

test('devices, one hostile, and every fault: what was acknowledged is there once, all are equal', async () => {
  const report = await runFaults({ seed: 20260914, devices: 4, hostile: 1, readings: 330, faults: 14 });
  expect(Object.keys(report.attacked).sort()).toEqual([...ATTACKS].sort());
  expect(report.happened['server-killed']).toBeGreaterThan(0);
  expect(report.happened['database-killed']).toBeGreaterThan(0);
  expect(report.acknowledged).toBeGreaterThan(150);
  expect(report).toMatchObject({ lost: [], doubled: [], unequal: [], refused: [], gaps: 0 });
});

test('a device that forgets would be noticed', async () => {
  const report = await runFaults({ seed: 5, devices: 2, readings: 60, faults: 6, forgetful: true });
  expect(report.lost.length + report.unequal.length).toBeGreaterThan(0);
});
