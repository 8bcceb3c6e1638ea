export interface Score {
  readonly name: string;
  readonly cases: number;
  /** Mean of how many days off it was. */
  readonly error: number;
  /** Share of the true dates from `low` to `high`, of a spread that should hold eight of ten. */
  readonly coverage?: number;
  /** Days from `low` to `high`, on average. */
  readonly width?: number;
}

export function table(scores: readonly Score[]): string {
  return [
    '| foreseen by | days off, on average | true date within its 80 % spread | width of that, days |',
    '|---|---|---|---|',
    ...scores.map(
      ({ name, error, coverage, width }) =>
        `| ${name} | ${error.toFixed(1)} | ` +
        `${coverage === undefined ? '' : `${(100 * coverage).toFixed(0)} %`} | ` +
        `${width === undefined ? '' : width.toFixed(0)} |`,
    ),
  ].join('\n');
}

export const PROSE = `# When what stands where

*Written by \`npm run bench:season\`.*

A stage begins when enough warmth has been summed up at the place itself: degree-days over a base from 1
January, by the sine through each day's least and greatest
temperature (Baskerville and Emin 1969). Some wait for a cool spell besides, some for a night of frost
(sloes are sweet after it), fungi for a soaking rain some days
before. It ends with more warmth, with frost, or after so many days, whichever comes first
(\`core/src/season/window.ts\`).

- **The place**: 6.5 degrees a kilometre of height (ISO 2533), up to 0.8 degrees by the slope it faces, up
to 0.7 by shade. General microclimatology, rounded; only
  where to begin (\`site.ts\`).
- **The guide's needs** are general phenology, no more: they were derived from the months that the guide
gives for the lowest band of height and a usual year of a
  middle-European valley, and rounded. A test holds them against the months of every band. How far plants
differ from them is taken as 10 to 12 %.
- **The weather** is known up to today; after that it may go as in each other year on record (\`scenario.ts\`).
- **What was seen** moves all of this: a taxon's need everywhere, a place's own climate for everything that
grows there, both shrunk towards the guide, less with
  each year (\`learn.ts\`). Nobody looks every day: a record says only that a stage began between two
visits. What was seen this year overrules.
- **Rain**: which rain brought a fungus nobody sees, so every lag is tried on every visit, with it there or
not, and those that agree are believed more; shrunk towards
  the guide's (\`rain.ts\`). In the guide's spread of the lag, one kind in one region differs from it by
0.8 of it and one year from another by 0.6.
- **Always a spread, never one date**: the days between which the beginning falls in eight of ten cases.

## How good it is

In synthetic years whose true dates are known. They are made by other rules than it believes: air cools by
5.6 degrees a kilometre, slopes count more, every hollow
has a climate of its own in degrees, taxa differ from the guide, and each single year has a shift of three
days that no weather explains. Whoever keeps the records
walks by once a week.

What is left a month or more ahead is the weather still to come, which no records can tell.
`;
