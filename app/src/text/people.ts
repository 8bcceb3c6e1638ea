import type { FindRecord } from '@pause/core';
import type { Group } from '../notebook/api';
import { t } from './en/account';

/** A person of a group by name, also one who left. */
export function memberName(group: Group, person: string): string {
  return [...group.members, ...group.former].find((one) => one.person === person)?.name ?? t.somebodyWhoLeft;
}

/** Whoever read something of a find: a person of its group, or somebody who stood beside. */
export function readerName(record: FindRecord, group: Group | undefined, by: string): string {
  return (
    record.asks.find((ask) => ask.of === by && ask.name !== undefined)?.name ??
    (group ? memberName(group, by) : t.you)
  );
}
