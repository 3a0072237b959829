import type { Page } from '@playwright/test';
import { ASPECT_WORDS, CONTAINER_WORDS, KIND_WORDS, SEVERITY_WORDS } from '@bright-sprout/core/words';
import { say as sayPlans } from '@bright-sprout/words/plans';
import { expect, openPart, openStage, test } from '../support/test.ts';

/** A teacher's hand: each thing typed, chosen or pressed is one action. */
class Hand {
  actions = 0;

  constructor(readonly page: Page) {}

  async type(label: string, text: string): Promise<void> {
    this.actions += 1;
    await this.page.getByLabel(label, { exact: true }).fill(text);
  }

  async choose(label: string, option: string): Promise<void> {
    this.actions += 1;
    await this.page.getByLabel(label, { exact: true }).selectOption({ label: option });
  }

  async press(name: string | RegExp): Promise<void> {
    this.actions += 1;
    await this.page.getByRole('button', { name }).first().click();
  }

  async part(name: string): Promise<void> {
    this.actions += 1;
    await openPart(this.page, name);
  }

  async sow(): Promise<void> {
    this.actions += 1;
    await openStage(this.page, 'Sow');
  }

  /** The plan as it was stored can answer its question and fits its containers. */
  async expectReady(pots: number): Promise<void> {
    const { page } = this;
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await expect(page.locator('.layout .pot')).toHaveCount(pots);
    await openPart(page, 'Check');
    await expect(page.getByRole('heading', { name: SEVERITY_WORDS.fine })).toBeVisible();
    await expect(page.getByRole('heading', { name: SEVERITY_WORDS.stops })).toHaveCount(0);
  }
}

test('an own question is ready to sow in twelve actions', async ({ teacher }) => {
  const hand = new Hand(teacher);
  await hand.type('Your question', 'Does cold tea slow barley?');
  await hand.choose('Crop', 'Barley');
  await hand.press('Plan it');
  await hand.type('Called', 'Cold tea');
  await hand.type('Level 1', 'No tea');
  await hand.type('Level 2', 'Tea');
  await hand.choose(sayPlans('itIsAbout'), ASPECT_WORDS.additive);
  await hand.type(sayPlans('amountAPot', { label: 'Level 2' }), '15');
  await hand.choose(sayPlans('unit', { label: 'Level 2' }), 'mL');
  await hand.type(sayPlans('material', { label: 'Level 2' }), 'cold tea');
  await hand.sow();
  expect(hand.actions).toBeLessThanOrEqual(12);
  await openStage(teacher, 'Plan');
  await hand.expectReady(10);
});

test('three changes crossed in a carton of twelve are ready in twenty', async ({ teacher }) => {
  const hand = new Hand(teacher);
  await hand.type('Your question', 'What does kale need most?');
  await hand.choose('Crop', 'Kale');
  await hand.choose('Kind', KIND_WORDS.crossed.name);
  await hand.press('Plan it');
  await hand.type('Change 1', 'Mix');
  await hand.type('Level 1 of change 1', 'Coir');
  await hand.type('Level 2 of change 1', 'Bark');
  await hand.press('Another level');
  await hand.type('Level 3 of change 1', 'Potting mix');
  await hand.type('Change 2', 'Feed');
  await hand.type('Level 2 of change 2', 'Feed');
  await hand.press('Another change');
  await hand.type('Change 3', 'Lid');
  await hand.type('Level 2 of change 3', 'Lid');
  await hand.part('Pots');
  await hand.choose('Container 1', CONTAINER_WORDS.egg_carton);
  await hand.type(sayPlans('potsOfEachTreatment', { noun: 'pot' }), '1');
  await hand.sow();
  expect(hand.actions).toBeLessThanOrEqual(20);
  const pot = teacher.getByRole('button', { name: /^Pot \d+, .*Coir.*Feed.*Lid/ }).first();
  await pot.click();
  await expect(teacher.getByRole('region', { name: /^Sowing of pot/ })).toBeVisible();
  await openStage(teacher, 'Plan');
  await hand.expectReady(12);
});

test('four crops in bags are ready in fifteen', async ({ teacher }) => {
  const hand = new Hand(teacher);
  await hand.type('Your question', 'Whose root is longest?');
  await hand.choose('Crop', 'Chickpea');
  await hand.choose('Kind', KIND_WORDS.crops.name);
  await hand.press('Plan it');
  await hand.press('Another level');
  await hand.press('Another level');
  await hand.choose(sayPlans('crop2', { label: 'Level 2' }), 'Lentil');
  await hand.choose(sayPlans('crop2', { label: 'Level 3' }), 'Sweet corn');
  await hand.choose(sayPlans('crop2', { label: 'Level 4' }), 'Cucumber');
  await hand.part('Pots');
  await hand.choose('Container 1', CONTAINER_WORDS.bags);
  await expect(teacher.getByText('8 places for 20 bags.')).toBeVisible();
  await hand.press(/^Add \d/);
  await hand.sow();
  expect(hand.actions).toBeLessThanOrEqual(15);
  await openStage(teacher, 'Plan');
  await hand.expectReady(20);
  for (const crop of ['Chickpea', 'Lentil', 'Sweet corn', 'Cucumber'])
    await expect(teacher.getByRole('button', { name: new RegExp(`^Pot \\d+, ${crop}$`) })).toHaveCount(5);
});

test('an activity that ships is ready in four', async ({ teacher }) => {
  const hand = new Hand(teacher);
  await hand.press('Templates');
  await hand.press(/egg carton of twelve/);
  await hand.press('Plan it');
  await hand.sow();
  expect(hand.actions).toBe(4);
  await openStage(teacher, 'Plan');
  await hand.expectReady(12);
});
