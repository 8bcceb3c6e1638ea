import type { Page } from 'playwright-core';
import { begin, tell, FUNGUS_TOLD, answerAll, specimen, hold, onRecord } from '../../forager';
import { PHONE } from '../../rig';
import { makeSheet, recalled } from './jarAfter';
import { dry, eat, label, takeAndSort } from './jarSteps';
import { rig, setUp } from './kit';

jest.setTimeout(240_000);
setUp();

/** A chanterelle that was checked and collected. */
async function collect(page: Page): Promise<string> {
  const find = await begin(page, /^Ridges/, 'chanterelle', /^Chanterelle/, 'Spruce above the Karrow spring');
  await tell(page, FUNGUS_TOLD);
  await answerAll(page, specimen('cantharellus-cibarius', 'mature'), {
    until: (outcome) => outcome === 'Collect',
  });
  await page.getByRole('link', { name: 'See the verdict and its reasons' }).click();
  await hold(page, /^I collect it/);
  await onRecord(page, find, (record) => record.decisions.length === 1);
  return find;
}

/** A guide with one deadly fungus more, of which nothing is known: nothing that grows can have its bars. */

test('chanterelles from the verdict to the jar, partly offline; recalled by a corrected guide; the sheet', async () => {
  const { page, context, errors } = await rig.open(PHONE);
  await collect(page);
  await takeAndSort(page, context);
  const batch = await dry(page, context);
  await label(page, rig.url, batch);
  await eat(page, batch);
  await makeSheet(page, batch);
  expect(errors).toEqual([]);
  await context.close();
  await recalled(await rig.open(PHONE), batch);
});
