import fc from 'fast-check';

/** Addresses and bodies that nobody should send. */

export const SCRIPT = '<script>alert(1)</script>';

/** Addresses of somebody else's things, of nothing, and of nonsense. */
const PARTS: Readonly<Record<string, readonly string[]>> = {
  find: [
    'demo-find-1',
    'demo-find-3',
    'none',
    '..%2f..%2fetc',
    '%00',
    SCRIPT,
    "' or 1=1 --",
    'x'.repeat(3000),
  ],
  group: ['ostrel-walkers', 'none', SCRIPT, "'; drop table entries; --"],
  person: ['mirel', 'none', SCRIPT],
  picture: ['none', '%00', SCRIPT],
  taxon: ['none', SCRIPT],
  invitation: ['none', SCRIPT],
  version: ['0', SCRIPT, '%00'],
  name: ['guide2', '__proto__', 'constructor'],
};
export const filled = (path: string, pick: number) =>
  path.replace(/:(\w+)/g, (_, name: string) => {
    const parts = PARTS[name] ?? ['x'];
    return encodeURI(parts[pick % parts.length] ?? 'x').replace(/%25/g, '%');
  });

const leaf = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    -1,
    1e308,
    0.5,
    '',
    SCRIPT,
    "' or '1'='1",
    '\u0000',
    '\ud800',
    'mirel',
    'demo-find-1',
    '2026-09-14T08:00:00.000Z',
    [],
    {},
    '__proto__',
    'x'.repeat(5000),
  ),
  fc.string(),
  fc.double({ noNaN: true, noDefaultInfinity: true }),
);
const KEYS = [
  'id',
  'at',
  'find',
  'page',
  'of',
  'kind',
  'body',
  'stamp',
  'startedAt',
  'kingdom',
  'person',
  'group',
  'piece',
  'character',
  'value',
  'sureness',
  'by',
  'taxon',
  'context',
  'changed',
  'verdict',
  'choice',
  'reason',
  'field',
  'entries',
  'name',
  'policy',
  'role',
  'days',
  'code',
  'email',
  'password',
  'states',
  'unit',
  '__proto__',
  'constructor',
];
export const body = fc.letrec((tie) => ({
  any: fc.oneof(
    { maxDepth: 4, withCrossShrink: true },
    leaf,
    tie('object'),
    fc.array(tie('any'), { maxLength: 4 }),
  ),
  object: fc.dictionary(fc.constantFrom(...KEYS), tie('any'), { maxKeys: 7 }),
})).any;
