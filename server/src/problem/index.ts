import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { ZodError } from 'zod';
import { fieldPath } from '@pause/core/lib/field-path';

/** One field that is wrong, and what would be right. */
export interface FieldProblem {
  readonly field: string;
  readonly reason: string;
}

/** What somebody sent is named in a refusal, but never as anything that a page could run. */
const plain = (text: string) => text.replace(/<(?=[a-z/!?])/gi, '‹');

/** Of very many fields that are wrong only the first are named. */
const MOST_ERRORS = 50;

/** A refusal over HTTP, RFC 9457: `type` is a stable code, `errors` name the fields. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    readonly title: string,
    readonly errors: readonly FieldProblem[] = [],
    readonly extra: Readonly<Record<string, unknown>> = {},
  ) {
    super(title);
    this.name = 'Problem';
  }

  /** As it is shown to whoever asked. */
  body(): Readonly<Record<string, unknown>> {
    return {
      type: `urn:pause:problem:${this.code}`,
      title: plain(this.title),
      status: this.status,
      ...(this.errors.length > 0
        ? {
            errors: this.errors
              .slice(0, MOST_ERRORS)
              .map(({ field, reason }) => ({ field: plain(field), reason: plain(reason) })),
          }
        : {}),
      ...this.extra,
    };
  }

  send(response: Response): void {
    response.status(this.status).type('application/problem+json').send(JSON.stringify(this.body()));
  }
}

export function invalid(errors: readonly FieldProblem[]): Problem {
  const [first] = errors;
  return new Problem(
    422,
    'invalid',
    first ? `${first.field}: ${first.reason}` : 'The request is not valid.',
    errors,
  );
}

export const tooBusy = (): Problem =>
  new Problem(503, 'too-busy', 'Too much is asked at once, or this takes too long. Ask again in a while.');

export function fromZod(error: ZodError): Problem {
  return invalid(
    error.issues.map((issue) => ({ field: fieldPath(issue.path) || 'body', reason: issue.message })),
  );
}

export const notFound: RequestHandler = (request) => {
  throw new Problem(404, 'not-found', `There is nothing at ${request.method} ${request.path}.`);
};

interface BodyError {
  readonly type?: string;
  readonly limit?: number;
  readonly code?: string;
}

/** A lock that was not let go, a statement that took too long, two that waited for each other. */
const HELD_UP = new Set(['55P03', '57014', '40P01', '25P03']);

/** Everything thrown becomes a problem; what nobody foresaw is logged and reported without its insides. */
export function problemHandler(log: (error: unknown) => void): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    toProblem(error, log).send(response);
  };
}

/**
 * Connection refused or broken; PostgreSQL's classes 08 (connection) and 57P (shutdown), and 3D000 (no such
 * database).
 */
const UNREACHABLE = /^(ECONN|ENOTFOUND|EHOSTUNREACH|ETIMEDOUT|08|57P|3D000)/;

function toProblem(error: unknown, log: (error: unknown) => void): Problem {
  if (error instanceof Problem) return error;
  const { type, limit, code } = error as BodyError;
  if (type === 'entity.too.large') {
    return new Problem(
      413,
      'too-large',
      `body: at most ${Math.round((limit ?? 0) / 1024)} kB are taken at once`,
    );
  }
  if (type === 'entity.parse.failed') return new Problem(400, 'not-json', 'body: this is not JSON');
  if (type === 'charset.unsupported' || type === 'encoding.unsupported')
    return new Problem(415, 'encoding', 'body: send UTF-8 JSON');
  if (code !== undefined && HELD_UP.has(code)) return tooBusy();
  log(error);
  const unreachable =
    (code !== undefined && UNREACHABLE.test(code)) ||
    /timeout exceeded when trying to connect|Connection terminated/.test((error as Error).message);
  if (unreachable)
    return new Problem(503, 'database-away', 'The database does not answer. Nothing was stored; try again.');
  return new Problem(500, 'unexpected', 'Something went wrong here. Nothing was stored.');
}
