import type { Entry, FieldsOf } from '@pause/core';
import type { Role } from '../notebook/api';
import { t } from './en/account';

/** Plain words for what is in a notebook and who belongs to it. */

/** What an e-mail address looks like, as far as it can be seen without writing to it. */
export const EMAIL = {
  value: /^\s*\S+@\S+\.\S+\s*$/,
  message: t.eMailAddressSomethingLike,
} as const;
/** Of a password, in characters. */
export const SHORTEST_PASSWORD = 10;

export const KIND: Readonly<Record<Entry['kind'], string>> = {
  finds: t.aFindBegun,
  pieces: t.aPiece,
  targets: t.whatItIsTakenFor,
  contexts: t.placeAndCondition,
  readings: t.somethingRead,
  withdrawals: t.somethingTakenBack,
  skips: t.aCheckPassedOver,
  verdicts: t.aVerdict,
  consents: t.anAdultsWord,
  decisions: t.aDecision,
  edits: t.aNote,
  asks: t.aSecondLookAskedFor,
  reveals: t.answersShown,
  pictures: t.aPhotoOrASketch,
  drops: t.aPictureTakenOut,
  counts: t.aPieceCounted,
  pages: t.aPageBegun,
  fields: t.somethingRecorded,
  sightings: t.somethingSeen,
};
export const ROLE: Readonly<Record<Role, string>> = {
  keeper: t.keeper,
  member: t.member,
  young: t.youngMember,
};
export const ROLE_MEANS: Readonly<Record<Role, string>> = {
  keeper: t.decidesTheGroupsRulesInvites,
  member: t.readsChecksAndDecidesIn,
  young: t.doesTheSameCollectingWaits,
};
/** The fields that a group agrees on, in plain words. */
export const FIELD: Readonly<Record<keyof FieldsOf<'group'>, string>> = {
  name: t.name,
  extraBars: t.moreBars,
  groupsNeeded: t.groupsThatMustFit,
  forgoneTaxa: t.leftAlone,
  forgoneFamilies: t.familiesLeftAlone,
  protectedTaxa: t.protected,
  place: t.rangeSeasonHabitat,
  familyHint: t.theFamilyAsAHint,
  secondLook: t.aSecondLookFor,
  secondLookWhenUnreviewed: t.aSecondLookWhereNo,
  earned: t.earnedPairsFor,
};
