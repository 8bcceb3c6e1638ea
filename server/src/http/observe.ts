import { randomUUID } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import type { RequestHandler } from 'express';
import type { Logger } from 'pino';
import { collectDefaultMetrics, Counter, Histogram, Registry } from 'prom-client';

/** What becomes of requests: a line of the log each, and numbers for whoever watches over a server. */

/** Numbers in the text format of Prometheus. */
export interface Metrics {
  readonly registry: Registry;
  readonly seconds: Histogram;
  readonly entries: Counter;
}
export function openMetrics(): Metrics {
  const registry = new Registry();
  collectDefaultMetrics({ register: registry });
  return {
    registry,
    seconds: new Histogram({
      name: 'pause_request_seconds',
      help: 'How long requests took',
      labelNames: ['method', 'route', 'status'],
      buckets: [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10],
      registers: [registry],
    }),
    entries: new Counter({
      name: 'pause_entries_total',
      help: 'Entries that were sent, by what became of them',
      labelNames: ['status'],
      registers: [registry],
    }),
  };
}

/**
 * Gives every request an id, which the answer carries, and logs what became of it: the route as it is in
 * the table, never the address with what is in it, no headers and no bodies.
 */
export function observed(log: Logger, metrics: Metrics | undefined): RequestHandler {
  return (request, response, next) => {
    const id = randomUUID();
    const began = performance.now();
    response.set('X-Request-Id', id);
    response.on('close', () => {
      const ms = Math.round(performance.now() - began);
      const { path } = (request.route ?? {}) as { readonly path?: string };
      const route = path ?? 'none';
      const status = response.writableFinished ? response.statusCode : 499;
      metrics?.seconds.observe({ method: request.method, route, status }, ms / 1000);
      log[status >= 500 ? 'error' : 'info']({ id, method: request.method, route, status, ms }, 'request');
    });
    next();
  };
}

/** The numbers, for a program on the same machine to fetch. */
export function serveMetrics({ registry }: Metrics, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = createServer((_, response) => {
      registry.metrics().then(
        (text) => response.setHeader('Content-Type', registry.contentType).end(text),
        () => response.writeHead(500).end(),
      );
    });
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => resolve(server));
  });
}
