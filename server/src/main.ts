import { startServer } from './start';

/** The server alone, for operating it behind something else. Everything it needs comes from the environment. */
const { DATABASE_URL, PORT, HOST, WEB, LOG_LEVEL, PAUSE_SECRET, PUBLIC_URL, PROXIES, DEMO } = process.env;
if (!DATABASE_URL) {
  process.stderr.write('DATABASE_URL is not set; it names the PostgreSQL database to use.\n');
  process.exit(2);
}
const server = await startServer({
  databaseUrl: DATABASE_URL,
  port: Number(PORT ?? 8087),
  demo: DEMO === '1',
  ...(HOST ? { host: HOST } : {}),
  ...(WEB ? { web: WEB } : {}),
  ...(PAUSE_SECRET ? { secret: PAUSE_SECRET } : {}),
  ...(PUBLIC_URL ? { publicUrl: PUBLIC_URL } : {}),
  ...(PROXIES ? { proxies: Number(PROXIES) } : {}),
  logLevel: LOG_LEVEL ?? 'info',
});
process.stdout.write(`${server.url}\n`);
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => void server.stop());
