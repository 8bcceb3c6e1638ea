import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from 'playwright-core';
import { compileGuide } from '@pause/core';
import { answerPlate, lensedPlate, pathData, tellingCharacters, type Plate } from '@pause/core/drawing';
import { shippedGuide } from '@pause/guide';
import { BROWSER_FLAGS } from '../e2e/rig';
import { findChromium } from './lib/chromium';
import { say } from './lib/say';

/** Contact sheets, to be looked at: every drawn answer, and every taxon at every stage. npx tsx scripts/plates.ts [folder] */

const guide = compileGuide(shippedGuide());
const folder = process.argv[2] ?? join(import.meta.dirname, '../.pause/plates');
mkdirSync(folder, { recursive: true });

const WIDTH = { none: 0, faint: 1, fine: 1, line: 1.6, bold: 2.4 } as const;
const FILL: Readonly<Record<string, string>> = {
  none: 'none',
  paper: '#FFFFFF',
  shade: '#DCE3DB',
  ink: '#14201B',
};
const svg = (plate: Plate, height: number) =>
  `<svg height="${height}" viewBox="0 0 ${plate.width} ${plate.height}">${plate.marks
    .map(
      (mark) =>
        `<path d="${pathData(mark)}" fill="${FILL[mark.fill] ?? mark.fill}" ` +
        `stroke="${mark.ink === 'none' ? 'none' : mark.ink === 'faint' ? '#9AA59C' : '#14201B'}" ` +
        `stroke-width="${WIDTH[mark.ink]}" stroke-linejoin="round" stroke-linecap="round"/>`,
    )
    .join('')}</svg>`;
const cell = (drawing: string, words: string) =>
  `<figure>${drawing}<figcaption>${words}</figcaption></figure>`;

const characters = guide.characters.filter((c) => c.character.kind === 'states');
const answers = characters.map((c) => {
  const states = 'states' in c.character ? c.character.states : [];
  return `<h2>${c.character.name} <small>${c.id}</small></h2><div>${states
    .map((state) => {
      const plate = answerPlate(c.id, state.id);
      return plate ? cell(svg(plate, 84), state.label) : cell('', `${state.label}: not drawn`);
    })
    .join('')}</div>`;
});

/** Every taxon at every stage, so many to a sheet. */
const ON_A_SHEET = 24;
const stages = guide.taxa.flatMap((taxon) => taxon.taxon.stages.map((stage) => ({ taxon, stage })));
const whole = stages.map(({ taxon, stage }) =>
  cell(
    svg(lensedPlate(guide, { taxon, stage }, tellingCharacters(guide, taxon, stage)), 300),
    `<i>${taxon.taxon.scientificName}</i> ${stage}`,
  ),
);

const page = (body: string) =>
  `<style>body{margin:16px;background:#EEF1EC;color:#14201B;font:13px ` +
  `system-ui}div{display:flex;flex-wrap:wrap;gap:10px}figure{margin:0;width:130px;text-align:center}h2{font-size:15px;margin:14px 0 4px}small{font-weight:400;color:#3D4A43}.wide figure{width:auto}.wide section{display:inline-block;width:31%;vertical-align:top}</style>${body}`;
const browser = await chromium.launch({ executablePath: await findChromium(), args: BROWSER_FLAGS });
const sheet = async (name: string, body: string, width: number) => {
  const tab = await browser.newPage({ viewport: { width, height: 800 } });
  await tab.setContent(page(body));
  await tab.screenshot({ path: join(folder, `${name}.png`), fullPage: true });
  await tab.close();
};
const SHEETS = 4;
for (let part = 0; part < SHEETS; part += 1) {
  await sheet(
    `answers-${part + 1}`,
    answers
      .slice(Math.ceil((part * answers.length) / SHEETS), Math.ceil(((part + 1) * answers.length) / SHEETS))
      .join(''),
    1120,
  );
}
for (let first = 0; first < whole.length; first += ON_A_SHEET)
  await sheet(
    `taxa-${String(first / ON_A_SHEET + 1).padStart(2, '0')}`,
    `<div class="wide">${whole.slice(first, first + ON_A_SHEET).join('')}</div>`,
    1560,
  );
await browser.close();
say(`${characters.length} characters and ${guide.taxa.length} taxa drawn into ${folder}`);
