import { say as sayPrint } from '@bright-sprout/words/print';
import { PLAIN_LEVEL, usualContainer } from '@bright-sprout/core/design';
import { expect, type Locator, type Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { makeSchool } from '../support/school.ts';
import { follow, test } from '../support/test.ts';

const MM_A_PIXEL = 25.4 / 96;

/** Three changes whose levels have long names, so that a label has as much to say as it ever has. */
function crossed(): Record<string, unknown> {
  const level = (name: string, changes: object) => ({ ...PLAIN_LEVEL, name, ...changes });
  const factors = [
    {
      name: 'Feed',
      aspect: 'additive',
      levels: ['seaweed feed from the green bottle', 'tea of last year’s compost heap'].map((material, at) =>
        level(`Watered with ${material}`, { dose: { material, amount: 5 * at + 5, unit: 'mL/L' } }),
      ),
    },
    {
      name: 'Mix',
      aspect: 'medium',
      levels: ['half sand, half potting mix', '2 parts compost, 1 part perlite'].map((medium) =>
        level(`Grown in ${medium}`, { medium }),
      ),
    },
    {
      name: 'Water',
      aspect: 'water',
      levels: [8, 16, 24].map((waterMl) => level(`With ${waterMl} mL of rain water`, { waterMl })),
    },
  ];
  return {
    kind: 'crossed',
    factors,
    replicates: 3,
    containers: [{ ...usualContainer('flat'), rows: 6, columns: 6 }],
  };
}

/** Labels whose text is larger than the label, by their number. */
function tooLong(labels: Locator): Promise<string[]> {
  return labels.evaluateAll((items) =>
    items.flatMap((label) => {
      const box = label.getBoundingClientRect();
      const isBeyond = [...label.querySelectorAll('*')].some((part) => {
        const { left, right, top, bottom, width } = part.getBoundingClientRect();
        const isOut =
          left < box.left - 1 || right > box.right + 1 || top < box.top - 1 || bottom > box.bottom + 1;
        return width > 0 && isOut;
      });
      return isBeyond ? [label.querySelector('.label-number')?.textContent ?? '?'] : [];
    }),
  );
}

async function textsOf(page: Page): Promise<string[]> {
  const pdf = await page.pdf({ preferCSSPageSize: true, printBackground: true });
  const { text } = await extractText(await getDocumentProxy(new Uint8Array(pdf)), { mergePages: false });
  return text;
}

test('labels hold every name on plain paper and on stickers, and the steps hang on the wall', async ({
  teacher: page,
}) => {
  const { experimentId } = await makeSchool(page, { sownOn: null, plan: crossed() });
  await follow(page, `/experiments/${experimentId}/print?sheet=labels`);
  const labels = page.getByRole('article').getByRole('listitem');
  await expect(labels).toHaveCount(36);
  for (const [sheet, size, pages] of [
    ['cut', undefined, undefined],
    ['a4_24', [70, 37], 2],
    ['letter_30', [66.675, 25.4], 2],
  ] as const) {
    await page.getByRole('combobox', { name: sayPrint('labelSheet') }).selectOption(sheet);
    await expect(labels).toHaveCount(36);
    await expect.poll(() => tooLong(labels)).toEqual([]);
    await page.emulateMedia({ media: 'print' });
    expect([sheet, await tooLong(labels)]).toEqual([sheet, []]);
    const box = await labels.first().boundingBox();
    if (size) {
      expect(box!.width * MM_A_PIXEL).toBeCloseTo(size[0], 0);
      expect(box!.height * MM_A_PIXEL).toBeCloseTo(size[1], 0);
    }
    const texts = await textsOf(page);
    if (pages) expect(texts.filter((text) => text.trim() !== '')).toHaveLength(pages);
    const whole = texts.join(' ').replaceAll(/\s+/g, ' ');
    expect(whole).toContain('5 mL of seaweed feed from the green bottle in each litre of its water');
    await page.emulateMedia({ media: 'screen' });
  }
  await page.getByRole('button', { name: sayPrint('stepsForTheWall') }).click();
  const steps = page.getByRole('article', { name: sayPrint('stepsForTheWall') }).getByRole('listitem');
  await expect(steps).not.toHaveCount(0);
  await page.emulateMedia({ media: 'print' });
  const printed = (await textsOf(page)).join(' ').replaceAll(/\s+/g, ' ');
  for (const text of await steps.allInnerTexts())
    expect(printed).toContain(text.replaceAll(/\s+/g, ' ').trim());
  expect(printed).not.toContain(sayPrint('kitCards'));
});
