import type { Entry, Policy, Stamp, Verdict } from '@pause/core';

/** The server, as the store sees it. */

/** Where the server's letters go: nowhere, to a mail server, or into the demo's simulated mailbox. */
export type Letters = 'none' | 'smtp' | 'mailbox';
export type Role = 'keeper' | 'member' | 'young';
/** A group that this person belongs to. */
export interface Group {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly policy: Policy;
  readonly members: readonly {
    readonly person: string;
    readonly name: string;
    readonly role: Role;
    readonly joinedAt: string;
  }[];
  readonly former: readonly { readonly person: string; readonly name: string }[];
  /** Taxa that a keeper signed as reviewed. */
  readonly reviews: readonly {
    readonly taxon: string;
    readonly content: string;
    readonly by: string;
    readonly at: string;
    readonly note?: string | undefined;
  }[];
}
export interface Me {
  readonly id: string;
  readonly name: string;
  readonly demo: boolean;
  readonly now: string;
  readonly guide: { readonly id: string; readonly version: string };
  readonly groups: readonly Group[];
  readonly streams: readonly { readonly id: string; readonly last: number }[];
}
/** What became of one entry that was sent. */
export type Sent =
  | {
      readonly status: 'arrived';
      readonly stream: string;
      readonly seq: number;
      readonly stamp: Stamp;
      readonly at?: string | undefined;
      readonly arrival?: { readonly verdict: Verdict } | undefined;
    }
  | { readonly status: 'refused'; readonly reason: string };
export interface Pulled {
  readonly entries: readonly {
    readonly entry: Entry;
    readonly seq: number;
    readonly number?: number | undefined;
  }[];
  readonly last: number;
  /** The next one was made by a newer application, and cannot be read here. */
  readonly newer: boolean;
}

/** The server said no, and sending again will not help. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly errors: readonly { readonly field: string; readonly reason: string }[] = [],
  ) {
    super(message);
    this.name = 'Refused';
  }
}
/** The server could not be reached, or could not work just now. Try again later. */
export class Away extends Error {}

export interface Api {
  /** @throws Refused 401 where nobody is signed in */
  me(): Promise<Me>;
  /** Whether it is the demo that answers, its time, and where its letters go. */
  about(): Promise<{ readonly demo: boolean; readonly now: string; readonly mail?: Letters | undefined }>;
  push(entries: readonly Entry[]): Promise<readonly Sent[]>;
  pull(stream: string, after: number): Promise<Pulled>;
  /** How much of a picture's bytes the server has. */
  received(picture: string): Promise<{ readonly received: number; readonly size: number }>;
  sendPart(
    picture: string,
    from: number,
    bytes: Uint8Array<ArrayBuffer>,
  ): Promise<{ readonly received: number; readonly size: number }>;
  /** @throws Refused 404 while it is on its way */
  picture(id: string): Promise<Blob>;
  /** Asks something else of the server; parsing the answer is up to the caller. */
  readonly ask: (
    method: 'GET' | 'POST' | 'PATCH' | 'DELETE',
    path: string,
    body?: unknown,
  ) => Promise<unknown>;
}

/** The server over HTTP; what talks to it is fetched when it is first asked something. */
export const httpApi = new Proxy({} as Api, {
  get:
    (_, name: keyof Api) =>
    async (...given: never[]) =>
      ((await import('./outside')).http()[name] as (...all: never[]) => unknown)(...given),
});
