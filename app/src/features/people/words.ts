import type { Entry } from '@pause/core';
import type { Role } from '../../store/api';

/** Plain words for what stands in a notebook and who belongs to it. */

export const KIND: Readonly<Record<Entry['kind'], string>> = {
  finds: 'A find begun', pieces: 'A piece', targets: 'What it is taken for', contexts: 'What stands around it', readings: 'Something read', withdrawals: 'Something taken back',
  skips: 'A check passed over', verdicts: 'A verdict', consents: 'An adult’s word', decisions: 'A decision', edits: 'A note', asks: 'A second look asked for', reveals: 'Answers shown', pictures: 'A photo or a sketch', drops: 'A picture taken out', counts: 'A piece counted',
};
export const ROLE: Readonly<Record<Role, string>> = { keeper: 'Keeper', member: 'Member', young: 'Young member' };
export const ROLE_MEANS: Readonly<Record<Role, string>> = {
  keeper: 'decides the group’s rules, invites, and gives roles',
  member: 'reads, checks and decides in the group’s notebook',
  young: 'does the same; collecting waits for an adult of the group',
};
