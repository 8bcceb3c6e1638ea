import { compileGuide, decide, parseGuide, pieceCheck } from '../src';
import { lint, recompute, separation } from '../src/questions';
import { shippedGuide } from '@pause/guide';
import { dangers, find, followChecks, guide, targets } from './finds';

type Json = Record<string, unknown>;
interface RawGuide { taxa: (Json & { id: string; statements: (Json & { character: string })[] })[]; characters: (Json & { id: string; states?: Json[] })[] }
function changed(change: (raw: RawGuide) => void) {
  const raw = JSON.parse(JSON.stringify(shippedGuide())) as RawGuide;
  change(raw);
  return compileGuide(parseGuide(raw));
}
const statement = (raw: RawGuide, taxon: string, character: string) => raw.taxa.find((t) => t.id === taxon)!.statements.find((s) => s.character === character)!;

describe('recomputing a stored verdict under a new guide', () => {
  const kept = followChecks('cantharellus-cibarius');
  const verdict = decide(guide, kept);

  test('the same guide changes nothing', () => {
    const { difference } = recompute({ find: kept, verdict, guide }, guide);
    expect(difference).toMatchObject({ recalled: false, reasonsGone: [], reasonsNew: [], rows: [], unread: [], statements: [] });
  });

  test('a corrected statement recalls what no longer stands, and says which statement it was', () => {
    const corrected = changed((raw) => {
      for (const character of ['hymenophore', 'smell', 'flesh.colour']) {
        const said = statement(raw, 'omphalotus-olearius', character);
        said.occasional = ['ridges', 'fruity', 'white', 'pale-yellow'].filter((s) => (guide.character(character)?.stateBit.has(s) ?? false) && !(said.usual as string[]).includes(s));
      }
    });
    const { difference, verdict: after } = recompute({ find: kept, verdict, guide }, corrected);
    expect(after.outcome).toBe('pause');
    expect(difference.recalled).toBe(true);
    expect(difference.rows).toContainEqual({ taxon: 'omphalotus-olearius', from: { have: 2, need: 2 }, to: { have: 0, need: 2 } });
    expect(difference.reasonsNew).toContainEqual({ weight: 'pause', code: 'bars-short', taxon: 'omphalotus-olearius', grade: 'serious', have: 0, need: 2 });
    expect(difference.statements).toContainEqual({ taxon: 'omphalotus-olearius', character: 'hymenophore' });
    expect(difference.before.version).not.toBe(difference.after.version);
  });

  test('a new dangerous taxon needs its bars at once', () => {
    const grown = changed((raw) => { raw.taxa.push({ ...raw.taxa.find((t) => t.id === 'cortinarius-rubellus')!, id: 'cortinarius-orellanus', scientificName: 'Cortinarius orellanus', statements: [] }); });
    const { difference } = recompute({ find: kept, verdict, guide }, grown);
    expect(difference.rows).toContainEqual({ taxon: 'cortinarius-orellanus', from: undefined, to: { have: 0, need: 3 } });
    expect(difference.recalled).toBe(true);
  });

  test('readings that the new guide does not ask are left out and named', () => {
    const smaller = changed((raw) => {
      const smell = raw.characters.find((c) => c.id === 'smell')!;
      smell.states = smell.states!.filter((s) => s.id !== 'fruity');
      for (const taxon of raw.taxa) for (const s of taxon.statements.filter((x) => x.character === 'smell')) {
        s.usual = (s.usual as string[]).filter((x) => x !== 'fruity').concat((s.usual as string[]).every((x) => x === 'fruity') ? ['carrion'] : []);
      }
    });
    const { difference } = recompute({ find: kept, verdict }, smaller);
    expect(difference.unread.map((p) => p.field)).toEqual([expect.stringMatching(/^readings\[\d+\]\.value\.states\[0\]$/)]);
    const lost = difference.rows.find((row) => row.taxon === 'hygrophoropsis-aurantiaca');
    expect(lost?.to?.have).toBe((lost?.from?.have ?? 0) - 1);
  });

  test('a target that is gone is an error that names it', () => {
    const without = changed((raw) => { raw.taxa = raw.taxa.filter((t) => t.id !== 'cantharellus-cibarius'); });
    expect(() => recompute({ find: kept, verdict }, without)).toThrow('target: "cantharellus-cibarius" is not a taxon of the guide');
  });
});

describe('the piece check', () => {
  test.each(targets.filter((t) => t.taxon.lookalikes.length > 0).map((t) => [t.id, t] as const))('%s: full bars against each listed lookalike', (id, target) => {
    const made = pieceCheck(guide, find(id, []));
    if (!made.feasible) throw new Error('it can be checked');
    expect(made.slips).toHaveLength(made.checks.length + 1);
    const shares = made.slips.map((s) => s.share);
    expect(shares[0]).toBe(1);
    expect([...shares].sort((a, b) => b - a)).toEqual(shares);
    expect(shares.at(-1)).toBeLessThan(0.15);
    for (const s of made.slips) expect(target.taxon.lookalikes).toContain(s.taxon);
  });

  test('what was read on the first piece does not count for the others', () => {
    const full = pieceCheck(guide, followChecks('cantharellus-cibarius'));
    expect(full).toEqual(pieceCheck(guide, find('cantharellus-cibarius', [])));
  });

  test('without the means it says which taxon stands in the way', () => {
    const without = new Set(guide.characters.map((c) => c.id as string));
    expect(pieceCheck(guide, find('gentiana-lutea', []), { without })).toEqual({
      feasible: false, obstacles: [{ code: 'cannot-bar', taxon: 'veratrum-album', most: 0, need: 3 }],
    });
  });
});

describe('lint', () => {
  test('of the shipped guide: no pair is without its bars where they are needed', () => {
    for (const target of targets) {
      for (const other of dangers.filter((d) => d.taxon.kingdom === target.taxon.kingdom && target.taxon.lookalikes.includes(d.id))) {
        const stage = target.taxon.parts[0]!.stages.at(-1)!;
        const need = { none: 0, unpleasant: 1, serious: 2, deadly: 3 }[other.grade];
        expect([target.id, other.id, separation(guide, target, other, stage).bars >= need]).toEqual([target.id, other.id, true]);
      }
    }
  });

  test('weak findings come first, and taking a statement away makes one more', () => {
    const before = lint(guide);
    expect(before.map((f) => f.level)).toEqual([...before.map((f) => f.level)].sort().reverse());
    const worse = changed((raw) => {
      const veratrum = raw.taxa.find((t) => t.id === 'veratrum-album')!;
      veratrum.statements = veratrum.statements.filter((s) => !['leaf.venation', 'root.form', 'root.flesh', 'leaf.arrangement'].includes(s.character));
    });
    expect(lint(worse)).toContainEqual({ level: 'weak', code: 'few-bars', target: 'gentiana-lutea', taxon: 'veratrum-album', stage: 'flowering', most: 1, need: 4 });
  });

  test('a name that means two taxa is noted', () => {
    const twice = changed((raw) => { raw.taxa.find((t) => t.id === 'aethusa-cynapium')!.vernacularNames = { en: ['Hemlock'] }; });
    expect(lint(twice)).toContainEqual({ level: 'note', code: 'name-means-two', name: 'hemlock', taxa: ['aethusa-cynapium', 'conium-maculatum'] });
  });
});
