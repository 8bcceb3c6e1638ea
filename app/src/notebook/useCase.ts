import { useMemo } from 'react';
import { caseOf, type Case, type FindRecord } from '@pause/core';
import { guide } from '../deciding/guide';
import { policyOf } from './reconsider';
import { useApp } from './store';

/** A find as the deciding function sees it, by the rules of its group. */
export function useCase(record: FindRecord): Case | undefined {
  const groups = useApp((state) => state.me.person?.groups);
  return useMemo(() => caseOf(record, guide, policyOf(record, groups ?? [])), [record, groups]);
}
