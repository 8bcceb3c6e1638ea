import type { CompiledGuide, Taxon } from '../../guide';
import { edited, verbatimIdentificationOf } from '../../notebook/find';
import type { FindRecord } from '../../notebook/find';
import { csvOf } from './csv';

/**
 * Finds as occurrences, in the terms of Darwin Core (a simple record for each, as CSV of RFC 4180).
 */

export const OCCURRENCE_TERMS = [
  'occurrenceID',
  'basisOfRecord',
  'occurrenceStatus',
  'eventDate',
  'kingdom',
  'family',
  'scientificName',
  'verbatimIdentification',
  'scientificNameAuthorship',
  'vernacularName',
  'taxonRank',
  'identificationVerificationStatus',
  'identificationRemarks',
  'lifeStage',
  'recordedBy',
  'locality',
  'decimalLatitude',
  'decimalLongitude',
  'geodeticDatum',
  'coordinateUncertaintyInMeters',
  'informationWithheld',
  'disposition',
  'occurrenceRemarks',
] as const;
export type OccurrenceTerm = (typeof OCCURRENCE_TERMS)[number];
export type Occurrence = Readonly<Record<OccurrenceTerm, string>>;

/** Of finds that were taken for something, if only by a name that the guide does not know. @param nameOf who recorded it, as they are to be named */
export function occurrencesOf(
  finds: readonly FindRecord[],
  guide: CompiledGuide,
  nameOf: (person: string) => string,
): Occurrence[] {
  return finds.flatMap((record): Occurrence[] => {
    const taxon = guide.taxon(record.targets.at(-1)?.taxon ?? '')?.taxon;
    const verbatimIdentification = verbatimIdentificationOf(record) ?? '';
    if (!taxon && verbatimIdentification === '') return [];
    return [
      {
        occurrenceID: record.id,
        basisOfRecord: 'HumanObservation',
        occurrenceStatus: 'present',
        eventDate: record.startedAt,
        ...(taxon ? taxonTerms(taxon) : { ...NO_TAXON, kingdom: record.kingdom }),
        verbatimIdentification,
        ...decisionTerms(record),
        identificationRemarks:
          `${record.readings.length} readings; ` + `guide ${guide.guide.id} ${guide.version.slice(0, 12)}`,
        lifeStage: (record.context.stages ?? []).join(' | '),
        recordedBy: nameOf(record.person),
        locality: record.placeNote ?? '',
        ...positionTerms(record),
        occurrenceRemarks: noteOf(record),
      },
    ];
  });
}

type Terms<Name extends OccurrenceTerm> = Pick<Occurrence, Name>;

const taxonTerms = (
  taxon: Taxon,
): Terms<
  'kingdom' | 'family' | 'scientificName' | 'scientificNameAuthorship' | 'vernacularName' | 'taxonRank'
> => ({
  kingdom: taxon.kingdom,
  family: taxon.family,
  scientificName: taxon.scientificName,
  scientificNameAuthorship: taxon.scientificNameAuthorship,
  vernacularName: taxon.vernacularNames.en?.[0] ?? '',
  taxonRank: 'species',
});

const NO_TAXON = {
  family: '',
  scientificName: '',
  scientificNameAuthorship: '',
  vernacularName: '',
  taxonRank: '',
} as const;

const DISPOSITION = { collect: 'collected', leave: 'left', later: 'left for later' } as const;

function decisionTerms({
  verdicts,
  decisions,
}: FindRecord): Terms<'identificationVerificationStatus' | 'disposition'> {
  const choice = decisions.at(-1)?.choice;
  return {
    identificationVerificationStatus: verdicts.at(-1)?.verdict.outcome ?? 'undecided',
    disposition: choice === undefined ? '' : DISPOSITION[choice],
  };
}

function positionTerms(
  record: FindRecord,
): Terms<
  | 'decimalLatitude'
  | 'decimalLongitude'
  | 'geodeticDatum'
  | 'coordinateUncertaintyInMeters'
  | 'informationWithheld'
> {
  const nowhere = {
    decimalLatitude: '',
    decimalLongitude: '',
    geodeticDatum: '',
    coordinateUncertaintyInMeters: '',
    informationWithheld: '',
  };
  const position = edited(record, 'position').now;
  if (position?.withheld === true)
    return { ...nowhere, informationWithheld: 'who keeps it does not tell where it is' };
  if (position?.field !== 'position' || position.value === null) return nowhere;
  const { decimalLatitude, decimalLongitude, coordinateUncertaintyInMeters } = position.value;
  return {
    ...nowhere,
    decimalLatitude: String(decimalLatitude),
    decimalLongitude: String(decimalLongitude),
    geodeticDatum: 'EPSG:4326',
    ...(coordinateUncertaintyInMeters === undefined
      ? {}
      : { coordinateUncertaintyInMeters: String(coordinateUncertaintyInMeters) }),
  };
}

function noteOf(record: FindRecord): string {
  const note = edited(record, 'note').now?.value;
  return typeof note === 'string' ? note : '';
}

export const toDarwinCore = (occurrences: readonly Occurrence[]): string =>
  csvOf(occurrences, OCCURRENCE_TERMS);
