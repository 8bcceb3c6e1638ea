import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/**
 * What a person's own records say beside the guide. The warmth that a stage waits for is the guide's, times
 * how far the taxon in this region differs from it, times how far this place differs for everything that
 * grows there, times how far one year differs from another. In logarithms these add up, each normally
 * distributed around nothing, and what was seen moves all of them at once: little after one year, more with
 * each further one, and a taxon never seen at a place by what was seen of others there.
 *
 * Method: Gaussian linear model with crossed random effects, solved exactly (Lindley and Smith, "Bayes
 * estimates for the linear model", JRSS B 34, 1972); the places are eliminated first, so that it stays quick
 * with many of them.
 */

/** When a stage began at a place in one year, as a share of the guide's warmth. */
export interface Onset {
  /** Taxon and stage. */
  readonly what: string;
  readonly place: string;
  readonly year: number;
  /** Logarithm of the warmth by then over the guide's. */
  readonly log: number;
  /** How uncertain that is, since nobody looked every day (standard deviation of the logarithm). */
  readonly error: number;
}

/** How much is believed to differ, as standard deviations of the logarithm. */
export interface Spreads {
  /** A place, by its own climate that height, slope and shade do not tell. */
  readonly place: number;
  /** One year from another. */
  readonly year: number;
}
export const SPREADS: Spreads = { place: 0.08, year: 0.07 };

export interface Belief {
  readonly mean: number;
  /** Of the coming season, what differs from year to year included. */
  readonly deviation: number;
}

/** The normal equations of what was seen: those of taxa, and those of places. */
interface Sums {
  /** Sum of the weights of each taxon's stage. */
  readonly weights: Float64Array;
  readonly right: Float64Array;
  readonly places: readonly {
    /** Sum of the weights. */
    weight: number;
    right: number;
    /** Sums of the weights with each taxon's stage. */
    readonly between: Float64Array;
  }[];
}

function sumsOf(
  onsets: readonly Onset[],
  whats: ReadonlyMap<string, number>,
  placeNumbers: ReadonlyMap<string, number>,
  spreadOf: (what: string) => number,
  spreads: Spreads,
): Sums {
  const weights = Float64Array.from([...whats.keys()], (what) => 1 / spreadOf(what) ** 2);
  const right = new Float64Array(whats.size);
  const places = Array.from({ length: placeNumbers.size }, () => ({
    weight: 1 / spreads.place ** 2,
    right: 0,
    between: new Float64Array(whats.size),
  }));
  for (const { what, place, log, error } of onsets) {
    const i = whats.get(what) ?? 0;
    const weight = 1 / (spreads.year ** 2 + error ** 2);
    weights[i] = (weights[i] ?? 0) + weight;
    right[i] = (right[i] ?? 0) + weight * log;
    const sums = places[placeNumbers.get(place) ?? 0];
    if (!sums) continue;
    sums.weight += weight;
    sums.right += weight * log;
    sums.between[i] = (sums.between[i] ?? 0) + weight;
  }
  return { weights, right, places };
}

/** The equations of taxa alone: those of places are solved and put in (the Schur complement). */
function withoutPlaces({ weights, right: before, places }: Sums): {
  readonly matrix: Float64Array[];
  readonly right: Float64Array;
} {
  const n = weights.length;
  const matrix = Array.from({ length: n }, (_, i) => {
    const row = new Float64Array(n);
    row[i] = weights[i] ?? 0;
    return row;
  });
  const right = before.slice();
  for (const { weight, right: ofPlace, between } of places) {
    const seen = [...between.keys()].filter((i) => between[i] !== 0);
    for (const i of seen) {
      right[i] = (right[i] ?? 0) - ((between[i] ?? 0) * ofPlace) / weight;
      for (const k of seen) {
        const line = matrix[i];
        if (line) line[k] = (line[k] ?? 0) - ((between[i] ?? 0) * (between[k] ?? 0)) / weight;
      }
    }
  }
  return { matrix, right };
}

export class Learned {
  readonly #whats: ReadonlyMap<string, number>;
  readonly #places: ReadonlyMap<string, number>;
  readonly #years = new Map<string, Set<number>>();
  readonly #mean: Float64Array;
  readonly #covariance: Float64Array[];
  readonly #placeMean: Float64Array;
  readonly #placeVariance: Float64Array;
  /** Of each place with each taxon. */
  readonly #cross: Float64Array[];

  /** @param spreadOf how far plants differ from the guide, by taxon and stage */
  constructor(
    onsets: readonly Onset[],
    readonly spreadOf: (what: string) => number,
    readonly spreads: Spreads = SPREADS,
  ) {
    this.#whats = numbered(onsets.map(({ what }) => what));
    this.#places = numbered(onsets.map(({ place }) => place));
    for (const { what, place, year } of onsets) {
      const key = `${what} ${place}`;
      this.#years.set(key, (this.#years.get(key) ?? new Set()).add(year));
    }
    const sums = sumsOf(onsets, this.#whats, this.#places, spreadOf, spreads);
    const { matrix, right } = withoutPlaces(sums);
    this.#covariance = inverse(matrix);
    this.#mean = times(this.#covariance, right);
    const p = sums.places.length;
    this.#placeMean = new Float64Array(p);
    this.#placeVariance = new Float64Array(p);
    this.#cross = sums.places.map(({ weight, right: ofPlace, between }, j) => {
      const spreadOut = times(this.#covariance, between);
      this.#placeMean[j] = (ofPlace - dot(between, this.#mean)) / weight;
      this.#placeVariance[j] = 1 / weight + dot(between, spreadOut) / weight ** 2;
      return spreadOut.map((value) => -value / weight);
    });
  }

  /** What is believed of a taxon's stage at a place, also where neither was ever seen. */
  belief(what: string, place: string): Belief {
    const [i, j] = [this.#whats.get(what), this.#places.get(place)];
    const ofWhat = i === undefined ? this.spreadOf(what) ** 2 : (this.#covariance[i]?.[i] ?? 0);
    const ofPlace = j === undefined ? this.spreads.place ** 2 : (this.#placeVariance[j] ?? 0);
    const both = i === undefined || j === undefined ? 0 : (this.#cross[j]?.[i] ?? 0);
    return {
      mean: (i === undefined ? 0 : (this.#mean[i] ?? 0)) + (j === undefined ? 0 : (this.#placeMean[j] ?? 0)),
      deviation: Math.sqrt(Math.max(0, ofWhat + ofPlace + 2 * both) + this.spreads.year ** 2),
    };
  }

  /** In how many years a stage was seen at this very place. */
  years(what: string, place: string): number {
    return this.#years.get(`${what} ${place}`)?.size ?? 0;
  }

  /** Whether anything was learned that matters to this. */
  knows(what: string, place: string): boolean {
    return this.#whats.has(what) || this.#places.has(place);
  }
}

const numbered = (all: readonly string[]): ReadonlyMap<string, number> =>
  new Map([...new Set(all)].map((one, index) => [one, index]));
function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i += 1) sum += (a[i] ?? 0) * (b[i] ?? 0);
  return sum;
}
const times = (matrix: readonly Float64Array[], vector: Float64Array): Float64Array =>
  Float64Array.from(matrix, (row) => dot(row, vector));

/** The inverse of a symmetric, positive definite matrix, by Cholesky's factors. */
function inverse(matrix: readonly Float64Array[]): Float64Array[] {
  if (matrix.length === 0) return [];
  const rows = matrix.map((row) => [...row]);
  return new CholeskyDecomposition(rows)
    .solve(Matrix.eye(rows.length))
    .to2DArray()
    .map((row) => Float64Array.from(row));
}
