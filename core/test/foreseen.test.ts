/**
 * Synthetic years whose true dates are known: what is foreseen beats the simple ways, and its spread holds
 * what it says.
 */
import { measure, measureFungi } from '../../bench/season';
import { visits } from '../../bench/season/visits';

const scores = new Map(measure([1, 2], 8, 10).map((score) => [score.name, score]));
const of = (name: string) => scores.get(name)!;

test.each(['no records', '1 year of records', '3 years of records', '6 years of records'])(
  'with %s it is nearer than last year’s date and the months, and eight of ten fall within its spread',
  (records) => {
    const { error, coverage, cases } = of(`Pause, ${records}`);
    expect(cases).toBeGreaterThan(300);
    expect(error).toBeLessThan(0.7 * of('The same date as last year').error);
    expect(error).toBeLessThan(0.7 * of('The months of the guide, by height').error);
    expect(coverage).toBeGreaterThan(0.72);
    expect(coverage).toBeLessThan(0.9);
  },
);

test('records of one’s own bring it nearer', () => {
  expect(of('Pause, 1 year of records').error).toBeLessThan(0.8 * of('Pause, no records').error);
});

test('replanned walks miss no more than accepted, with a fraction of the walks of every week', () => {
  const [, replanned, weekly] = visits([1, 2], 8, 0.1);
  expect(replanned!.cases).toBeGreaterThan(12);
  expect(replanned!.missed).toBeLessThan(0.2);
  expect(replanned!.walks).toBeLessThan(0.4 * weekly!.walks);
});

test('forecasts of fungi get better with each year of records; eight of ten are within the spread', () => {
  const rows = new Map(measureFungi([1, 2], 6, 12, [0, 6]).map((score) => [score.name, score]));
  const [none, six] = [rows.get('Pause, no records')!, rows.get('Pause, 6 years of records')!];
  expect(none.cases).toBeGreaterThan(150);
  expect(six.error).toBeLessThan(0.85 * none.error);
  expect(none.error).toBeLessThan(0.7 * rows.get('The same date as last year')!.error);
  for (const { coverage } of [none, six]) {
    expect(coverage).toBeGreaterThan(0.7);
    expect(coverage).toBeLessThan(0.92);
  }
});
