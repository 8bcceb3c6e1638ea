import type { Request, Response } from 'express';
import type { CompiledGuide } from '@pause/core';
import type { Actor } from '../../access';
import type { Session } from '../../accounts';
import type { Db } from '../../db';
import type { Clock } from '../../demo/clock';
import type { Jobs } from '../../jobs';
import type { Judging } from '../../judging';
import type { Live } from '../../live';
import type { Mail } from '../../mail';
import type { Objects } from '../../pictures';
import type { Questions } from '../../questions';
import type { Reading } from '../../reading';
import type { Metrics } from '../observe';

/** What a route is, and what it works with. */

export interface Services {
  readonly db: Db;
  /** One connection of its own, to ask whether the database is there however busy the others are. */
  readonly pulse: Db;
  readonly clock: Clock;
  readonly metrics?: Metrics | undefined;
  readonly guide: CompiledGuide;
  readonly questions: Questions;
  readonly judging: Judging;
  readonly reading: Reading;
  readonly live: Live;
  readonly jobs: Jobs;
  /** Where whole pictures lie, if not in the database. */
  readonly objects?: Objects | undefined;
  /** Where letters go, if any are sent. */
  readonly mail?: Mail['kind'] | undefined;
  /**
   * Who is signed in where a request comes from; with the response, the browser learns that the session goes
   * on.
   */
  readonly whoAsks: (request: Request, response?: Response) => Promise<Session | undefined>;
  /** A person with the groups they belong to. */
  readonly actorFor: (person: string) => Promise<Actor>;
  /** Whether it is this person's password. @throws Problem 429 after too many that were not */
  readonly checkPassword: (person: string, password: string) => Promise<boolean>;
}

/**
 * `anyone`; `person`: who is signed in; `reader`: who may read the find of the address; `viewer`: that of its
 * picture; `member`, `keeper`: of the group of the address. To whom it is not open, a find or a group is not
 * there.
 */
export type Who = 'anyone' | 'person' | 'reader' | 'viewer' | 'member' | 'keeper';

/** How often it may be used in a minute, by one person or from one place. */
export type Pace = 'usual' | 'heavy' | 'guessable';

/** Not counted at all: whether the server is there may be asked at any time. */
export type Uncounted = 'uncounted';

export interface Route {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  readonly path: string;
  readonly who: Who;
  readonly pace: Pace | Uncounted;
  readonly handle: (request: Request, response: Response, actor: Actor) => Promise<void> | void;
}

/** Adds a route to the table. */
export type Add = (
  method: Route['method'],
  path: string,
  who: Who,
  handle: Route['handle'],
  pace?: Route['pace'],
) => void;
