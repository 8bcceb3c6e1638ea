import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { Agent, createServer, request as ask, type IncomingMessage, type ServerResponse } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../../scripts/lib/ports';
import { openCluster, type Cluster } from '../../scripts/lib/postgres';
import { startServerProcess, type ServerProcess } from '../../scripts/lib/serverProcess';

/** A server process of its own over a database of its own, both of which can be killed without warning. */
export interface World {
  readonly url: string;
  readonly databaseUrl: string;
  /** Ends the server as a lost power supply would, and starts another one. */
  readonly killServer: () => Promise<void>;
  /**
   * Stops the database at once, without letting it finish anything, and starts it again on what is on disk.
   */
  readonly killDatabase: () => Promise<void>;
  readonly close: () => Promise<void>;
}

/**
 * A balancer: deals requests out in turn, and one that a server does not take goes to the next.
 *
 * @returns its address, and how to close it
 */
export async function openBalancer(
  urls: readonly string[],
): Promise<{ readonly url: string; readonly close: () => Promise<void> }> {
  const agent = new Agent({ keepAlive: true });
  let turn = 0;
  const pass = (incoming: IncomingMessage, outgoing: ServerResponse, sent: Buffer, tries: number) => {
    const server = new URL(urls[turn % urls.length] ?? '');
    turn += 1;
    const passed = ask(
      {
        agent,
        host: server.hostname,
        port: server.port,
        method: incoming.method,
        path: incoming.url,
        headers: incoming.headers,
      },
      (answer) => {
        outgoing.writeHead(answer.statusCode ?? 502, answer.headers);
        answer.pipe(outgoing);
        answer.on('error', () => outgoing.destroy());
      },
    );
    passed.on('error', () => {
      if (outgoing.headersSent) outgoing.destroy();
      else if (tries < urls.length) pass(incoming, outgoing, sent, tries + 1);
      else outgoing.writeHead(502).end();
    });
    outgoing.on('close', () => passed.destroy());
    passed.end(sent);
  };
  const balancer = createServer((incoming, outgoing) => {
    const parts: Buffer[] = [];
    incoming.on('data', (part: Buffer) => parts.push(part));
    incoming.on('end', () => pass(incoming, outgoing, Buffer.concat(parts), 1));
  });
  const port = await freePort();
  await new Promise<void>((resolve) => {
    balancer.listen(port, '127.0.0.1', resolve);
  });
  return {
    url: `http://127.0.0.1:${port}`,
    close: () =>
      new Promise((resolve) => {
        agent.destroy();
        balancer.closeAllConnections();
        balancer.close(() => resolve());
      }),
  };
}

/**
 * @param servers how many stand in front of the one database; `url` names the first, the others follow in
 * `urls`
 * @param demo with the demo's people and finds
 * @param more of the environment of each
 */
export async function openWorld(
  servers = 1,
  demo = false,
  more: Readonly<Record<string, string>> = {},
): Promise<World & { readonly urls: readonly string[]; readonly pids: () => readonly number[] }> {
  const scratch = mkdtempSync(join(tmpdir(), 'pause-faults-'));
  chmodSync(scratch, 0o755);
  const cluster: Cluster = await openCluster(join(scratch, 'postgres'));
  const ports = await Promise.all(Array.from({ length: servers }, freePort));
  const start = (port: number) =>
    startServerProcess({
      DATABASE_URL: cluster.url,
      PORT: String(port),
      ...(demo ? { DEMO: '1' } : {}),
      ...more,
    });
  const processes: ServerProcess[] = [];
  for (const port of ports) processes.push(await start(port));
  return {
    url: `http://127.0.0.1:${ports[0] ?? 0}`,
    urls: ports.map((port) => `http://127.0.0.1:${port}`),
    databaseUrl: cluster.url,
    pids: () => processes.map(({ pid }) => pid),
    killServer: async () => {
      const [first, port] = [processes[0], ports[0]];
      if (!first || port === undefined) return;
      await first.kill();
      processes[0] = await start(port);
    },
    killDatabase: async () => {
      await cluster.kill();
      await cluster.start();
    },
    close: async () => {
      await Promise.all(processes.map(({ kill }) => kill()));
      await cluster.stop();
      rmSync(scratch, { recursive: true, force: true });
    },
  };
}
