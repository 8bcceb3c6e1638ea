import { execFile } from 'node:child_process';
import { chmodSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { failures, jestTwice } from '../../scripts/lib/jest';
import { freePort, portTaken } from '../../scripts/lib/ports';
import { buildWebApp } from '../../scripts/lib/webapp';

jest.setTimeout(120_000);

const ROOT = process.cwd();

// A database folder of its own: a demo that runs beside the tests keeps its own.
const home = mkdtempSync(join(tmpdir(), 'pause-home-'));
chmodSync(home, 0o755);
afterAll(() => rmSync(home, { recursive: true, force: true }));

/** scripts/demo, until it ends or says the wanted words; then it is interrupted as Ctrl-C would. */
function demo(env: NodeJS.ProcessEnv, until?: RegExp): Promise<{ status: number | null; output: string }> {
  return new Promise((resolve) => {
    const child = execFile(
      join(ROOT, 'scripts/demo'),
      { cwd: ROOT, env: { ...process.env, PAUSE_HOME: home, ...env } },
      (_error, out, err) => {
        resolve({ status: child.exitCode, output: out + err });
      },
    );
    child.stdout?.on('data', (text: string) => {
      if (until?.test(text)) child.kill('SIGINT');
    });
  });
}

test('a port in use gets one clear sentence', async () => {
  const server = createServer().listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  const { status, output } = await demo({ PORT: String(port) });
  server.close();
  expect(status).toBe(1);
  expect(output.trim()).toBe(
    `pause: Port ${port} is in use; stop what uses it, or choose another: PORT=${port + 1} scripts/demo`,
  );
});

test('a port that is none gets one clear sentence', async () => {
  const { status, output } = await demo({ PORT: '80 80' });
  expect([status, output.trim()]).toEqual([1, 'pause: PORT is "80 80"; give a number from 1 to 65535.']);
});

test('a second one beside the first says that the first is there', async () => {
  writeFileSync(join(home, 'demo.pid'), String(process.pid));
  const { status, output } = await demo({ PORT: String(await freePort()) });
  rmSync(join(home, 'demo.pid'));
  expect(status).toBe(1);
  expect(output).toContain(
    `pause: Pause is running already (process ${process.pid}); use that one, or stop it first.`,
  );
});

test('a database that does not answer gets one clear sentence', async () => {
  const { status, output } = await demo({
    PORT: String(await freePort()),
    DATABASE_URL: 'postgres://nobody@127.0.0.1:1/none',
  });
  expect(status).toBe(1);
  expect(output).toMatch(
    /pause: The database does not accept the work \(.*ECONNREFUSED.*\); check DATABASE_URL, or unset it/,
  );
});

test('it starts on what is there, says how far it is and where to go, and Ctrl-C stops all of it', async () => {
  const port = await freePort();
  const { output } = await demo({ PORT: String(port) }, /Ctrl-C stops everything/);
  for (const step of [
    '[1/4] Database',
    '[2/4] Web application',
    '[3/4] Server',
    '[4/4] Ready',
    `http://127.0.0.1:${port}`,
    'Stopping',
  ])
    expect(output).toContain(step);
  expect(await portTaken(port)).toBe(false);
});

test('the web application is built once for the same sources', async () => {
  const { folder, built } = await buildWebApp(ROOT);
  expect([folder, built]).toEqual([join(ROOT, 'app/dist'), false]);
});

test('a free port is free, a taken one taken', async () => {
  const port = await freePort();
  expect(await portTaken(port)).toBe(false);
  const server = createServer().listen(port, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  expect(await portTaken(port)).toBe(true);
  server.close();
});

describe('a file with a failed test', () => {
  /** A project with two test files, of which one is as given; Jest is run as `scripts/test` runs it. */
  async function twice(test: string) {
    const root = join(home, 'failing');
    mkdirSync(root, { recursive: true });
    writeFileSync(join(root, 'passes.test.js'), "test('passes', () => undefined);");
    writeFileSync(join(root, 'fails.test.js'), test);
    const config = join(root, 'jest.config.json');
    writeFileSync(config, JSON.stringify({ rootDir: root, transform: {} }));
    const first: string[] = [];
    const where = { root: ROOT, scratch: root, env: {} };
    const report = await jestTwice('tests', ['--config', config], where, (text) => first.push(text));
    rmSync(root, { recursive: true });
    return { first, passed: report.numPassedTests, failed: failures(report) };
  }

  test('has a second try, and what failed at first is kept', async () => {
    const marker = join(home, 'failing/tried');
    const { first, passed, failed } = await twice(`
      const { existsSync, writeFileSync } = require('node:fs');
      test('fails once', () => {
        const tried = existsSync('${marker}');
        writeFileSync('${marker}', '');
        expect(tried).toBe(true);
      });`);
    expect([passed, failed]).toEqual([2, 0]);
    expect(first).toEqual([expect.stringContaining('fails once')]);
  });

  test('that fails again is one failure', async () => {
    const { first, passed, failed } = await twice("test('always fails', () => expect(1).toBe(2));");
    expect([passed, failed, first.length]).toEqual([1, 1, 1]);
  });
});
