import type { Entry, FieldsOf } from '@pause/core';
import type { Role } from '../notebook/api';

/** Plain words for what stands in a notebook and who belongs to it. */

/** What an e-mail address looks like, as far as it can be seen without writing to it. */
export const EMAIL = {
  value: /^\s*\S+@\S+\.\S+\s*$/,
  message: 'E-mail address: something like you@example.org',
} as const;
/** Of a password, in characters. */
export const SHORTEST_PASSWORD = 10;

export const KIND: Readonly<Record<Entry['kind'], string>> = {
  finds: 'A find begun',
  pieces: 'A piece',
  targets: 'What it is taken for',
  contexts: 'Place and condition',
  readings: 'Something read',
  withdrawals: 'Something taken back',
  skips: 'A check passed over',
  verdicts: 'A verdict',
  consents: 'An adult’s word',
  decisions: 'A decision',
  edits: 'A note',
  asks: 'A second look asked for',
  reveals: 'Answers shown',
  pictures: 'A photo or a sketch',
  drops: 'A picture taken out',
  counts: 'A piece counted',
  pages: 'A page begun',
  fields: 'Something recorded',
  sightings: 'Something seen',
};
export const ROLE: Readonly<Record<Role, string>> = {
  keeper: 'Keeper',
  member: 'Member',
  young: 'Young member',
};
export const ROLE_MEANS: Readonly<Record<Role, string>> = {
  keeper: 'decides the group’s rules, invites, and gives roles',
  member: 'reads, checks and decides in the group’s notebook',
  young: 'does the same; collecting waits for an adult of the group',
};
/** The fields that a group agrees on, in plain words. */
export const FIELD: Readonly<Record<keyof FieldsOf<'group'>, string>> = {
  name: 'Name',
  extraBars: 'More bars',
  groupsNeeded: 'Groups that must fit',
  forgoneTaxa: 'Left alone',
  forgoneFamilies: 'Families left alone',
  protectedTaxa: 'Protected',
  place: 'Range, season, habitat',
  familyHint: 'The family as a hint',
  secondLook: 'A second look for',
  secondLookWhenUnreviewed: 'A second look where no expert reviewed a deadly pair',
  earned: 'Earned pairs for',
};
