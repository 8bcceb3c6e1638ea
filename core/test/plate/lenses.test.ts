import fc from 'fast-check';
import {
  ANSWER,
  boxOfMarks,
  individual,
  lensedPlate,
  linesOf,
  specimenPlate,
  tellingCharacters,
  type Mark,
  type Point,
} from '../../src/drawing';
import { clipped } from '../../src/drawing/plate/lens/clip';
import { guide, taxon } from '../finds';
import { apart, raster } from './raster';

const stages = guide.taxa.flatMap((one) => one.taxon.stages.map((stage) => ({ taxon: one, stage })));
const lensed = (at: (typeof stages)[number], characters?: readonly string[]) =>
  lensedPlate(guide, at, characters ?? tellingCharacters(guide, at.taxon, at.stage));

describe('what a taxon is told by', () => {
  test('its own marks come first, then what parts it from most; all of it is stated and can be seen', () => {
    for (const { taxon: one, stage } of stages) {
      const telling = tellingCharacters(guide, one, stage);
      const own = one.taxon.signature.filter((id) => telling.includes(id));
      expect(telling.slice(0, own.length)).toEqual(own);
      for (const id of telling) {
        const character = guide.character(id);
        expect(character && one.atStage.get(character.index)?.get(stage)).toBeDefined();
        expect(character?.place).toBe(false);
        expect(id).not.toMatch(/smell/);
      }
    }
    expect(tellingCharacters(guide, taxon('amanita-phalloides'), 'mature' as never).slice(0, 6)).toContain(
      'volva',
    );
  });
});

describe('lenses', () => {
  test('lie on the sheet, apart from each other, and what is stated and not on the whole comes first', () => {
    for (const at of stages) {
      const plate = lensed(at);
      const { left, right, top, bottom } = boxOfMarks(plate.marks);
      const where = `${at.taxon.id} ${at.stage}`;
      expect({
        where,
        within: left >= -1 && top >= -1 && right <= plate.width + 1 && bottom <= plate.height + 1,
      }).toEqual({
        where,
        within: true,
      });
      for (const [i, { at: a, radius }] of plate.lenses.entries())
        for (const { at: b } of plate.lenses.slice(i + 1))
          expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThanOrEqual(2 * radius);
      // A lens shows what is its own.
      for (const { character } of plate.lenses)
        expect(plate.parts.filter(({ of }) => of.includes(character)).length).toBeGreaterThan(0);
    }
  });

  test('a lens shows another state as another picture', () => {
    const at = { taxon: taxon('conium-maculatum'), stage: 'flowering' as never };
    const core = ['stem.core'];
    const statements = at.taxon.taxon.statements.map((s) =>
      s.character === 'stem.core' ? { ...s, usual: ['solid'] } : s,
    );
    const other = { ...at.taxon, taxon: { ...at.taxon.taxon, statements } } as typeof at.taxon;
    const [one, two] = [lensed(at, core), lensed({ ...at, taxon: other }, core)];
    expect(one.lenses.map(({ character }) => character)).toEqual(core);
    expect(apart(raster(one), raster(two))).toBeGreaterThan(40);
  });

  test('nothing to be seen is shown last, unless it is told by', () => {
    const at = { taxon: taxon('daphne-mezereum'), stage: 'flowering' as never };
    const telling = tellingCharacters(guide, at.taxon, at.stage);
    const one = individual(guide, at.taxon, at.stage, 0);
    const last = telling.filter((id, i) => i >= 8 && one.state(id) === 'none');
    expect(last.length).toBeGreaterThan(0);
    const shown = lensed(at).lenses.map(({ character }) => character);
    expect(shown.filter((id) => last.includes(id as never))).toEqual([]);
  });

  test('without anything to show through them there are none, and the whole has the sheet', () => {
    const plate = lensed({ taxon: taxon('boletus-edulis'), stage: 'mature' as never }, []);
    expect(plate.lenses).toEqual([]);
    expect(plate.marks.length).toBeGreaterThan(10);
  });
});

describe('a round hole', () => {
  const circle = { at: [50, 50] as Point, radius: 20 };
  const far = ([x, y]: Point) => Math.hypot(x - 50, y - 50);
  const outline = (line: readonly Point[], closed: boolean): Mark => ({
    line,
    closed,
    ink: 'line',
    fill: 'none',
  });

  test('leaves nothing outside, and nothing inside out', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 100 })), {
          minLength: 3,
          maxLength: 9,
        }),
        fc.boolean(),
        (line, closed) => {
          for (const mark of clipped([outline(line, closed)], circle))
            for (const point of linesOf(mark).flat()) expect(far(point)).toBeLessThan(20.01);
        },
      ),
    );
  });

  test('keeps what is whole within it, and cuts a line that goes through in the middle', () => {
    const inner = outline(
      [
        [45, 45],
        [55, 45],
        [50, 56],
      ],
      true,
    );
    expect(clipped([inner], circle)).toEqual([inner]);
    const [cut] = clipped(
      [
        outline(
          [
            [0, 50],
            [100, 50],
          ],
          false,
        ),
      ],
      circle,
    );
    expect(cut?.line[0]?.[0]).toBeCloseTo(30, 5);
    expect(cut?.line.at(-1)?.[0]).toBeCloseTo(70, 5);
    expect(
      clipped(
        [
          outline(
            [
              [0, 0],
              [9, 0],
              [9, 9],
            ],
            true,
          ),
        ],
        circle,
      ),
    ).toEqual([]);
  });
});

describe('a specimen', () => {
  test('has the names of its parts at both sides, and the place where it grows behind it', () => {
    const one = individual(guide, taxon('macrolepiota-procera'), 'mature' as never, 0);
    const parts = [
      { id: 'cap', characters: ['cap.shape'] },
      { id: 'stem', characters: ['stipe.net'] },
      { id: 'under', characters: ['hymenophore'] },
      { id: 'foot', characters: ['volva'] },
    ];
    const plate = specimenPlate(guide, one, 'Fungi', parts);
    expect(plate.callouts.map(({ id }) => id).sort()).toEqual(['cap', 'foot', 'stem', 'under']);
    for (const { at } of plate.callouts)
      expect([plate.column / 2, plate.width - plate.column / 2]).toContain(at[0]);
    const behind = plate.marks.filter(({ ink }) => ink === 'faint').length;
    expect(behind).toBeGreaterThan(0);
    // The place that is stated is what is drawn, and nothing where none is.
    const nowhere = { ...one, state: (id: string) => (id === 'fungus.habitat' ? undefined : one.state(id)) };
    expect(specimenPlate(guide, nowhere, 'Fungi', parts).marks.filter(({ ink }) => ink === 'faint')).toEqual(
      [],
    );
    expect(ANSWER.width).toBeLessThan(plate.width);
  });
});

test('what belongs to a plant and is not stated is a faint outline, and is named', () => {
  const cowberry = taxon('vaccinium-vitis-idaea');
  const without = (organ: string) => {
    const statements = cowberry.taxon.statements.filter((s) => !s.character.startsWith(organ));
    const less = { ...cowberry, taxon: { ...cowberry.taxon, statements } } as typeof cowberry;
    return lensedPlate(guide, { taxon: less, stage: 'fruiting' as never }, []);
  };
  const faint = ({ marks }: { readonly marks: readonly Mark[] }) =>
    marks.filter(({ ink }) => ink === 'faint').length;
  const whole = lensedPlate(guide, { taxon: cowberry, stage: 'fruiting' as never }, []);
  expect([whole.unknown, faint(whole)]).toEqual([[], 0]);
  expect(without('leaf').unknown).toEqual(['leaf']);
  expect(without('fruit').unknown).toEqual(['fruit']);
  for (const organ of ['leaf', 'fruit']) expect(faint(without(organ))).toBeGreaterThan(0);
});
