import { expect, type Page } from '@playwright/test';
import { bar, chooseWay, go, open, ring, saved, test, totals } from './server.js';

/** Selects a ring of the cup and makes it another way. */
async function make(page: Page, number: number, way: string) {
  await ring(page, number).click();
  await chooseWay(page, way);
}

async function type(page: Page, label: string, text: string) {
  const field = bar(page).getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
}

/** Leaves the first spacer alone and puts another one in. */
async function press(page: Page, joint: string) {
  await bar(page)
    .getByRole('button', { name: /^Joints with spacers/ })
    .click();
  const panel = page.getByRole('dialog', { name: 'Joints with spacers' });
  await panel.getByRole('button', { name: 'All but the first off' }).click();
  await panel.getByRole('button', { name: joint, exact: true }).click();
  await page.keyboard.press('Escape');
}

/** The plan of the selected ring, and what it says about its pieces. */
async function plan(page: Page, number: number) {
  await ring(page, number).press('Enter');
  return page.getByRole('dialog', { name: new RegExp(`^Ring ${number}\\b`) });
}

interface Case {
  readonly way: string;
  readonly ring: number;
  set(page: Page): Promise<void>;
  readonly reads: readonly (readonly [label: string, value: string])[];
  readonly says: readonly RegExp[];
}

/** One after the other in one piece, each started anew where the one before it stood. */
const JOINTS: readonly Case[] = [
  {
    way: 'Flat segments',
    ring: 5,
    async set(page) {
      await type(page, 'Segments', '12');
      await type(page, 'Widths', '40° 20°');
    },
    reads: [['Widths', '1 : 0.5']],
    says: [/6 × Segment of 40°/, /6 × Segment of 20°/, /Step between outside corners/],
  },
  {
    way: 'Spaced segments',
    ring: 6,
    async set(page) {
      await bar(page).getByLabel('Spacers at').selectOption('evenly spread joints');
      await bar(page).getByLabel('How many').selectOption('6');
      await type(page, 'Spacer thickness', '1/8');
    },
    reads: [
      ['How many', '6'],
      ['Spacer thickness', '1/8"'],
    ],
    says: [/6 × Spacer/, /1\/8" thick/, /Oval before turning/, /closes without its spacers does not close/],
  },
  {
    way: 'Open segments',
    ring: 6,
    async set(page) {
      await bar(page).getByLabel('Gaps').selectOption('parallel');
      await type(page, 'Gap width', '3mm');
    },
    reads: [['Gap width', '1/8"−']],
    says: [/24 × Segment/, /Overlap at each end/, /Glued at each end, on the ring below/, /indexed jig/],
  },
  {
    way: 'Tilted joints',
    ring: 6,
    async set(page) {
      await type(page, 'Blade tilt', '12');
      await bar(page).getByLabel('Joints lean').selectOption('left');
    },
    reads: [
      ['Blade tilt', '12°'],
      ['Joints lean', 'left'],
    ],
    says: [/Segment leaning left/, /blade tilted 12°/, /squeeze from above and below/],
  },
];

const BUILT: readonly Case[] = [
  {
    way: 'Staves',
    ring: 6,
    set: (page) => bar(page).getByRole('button', { name: 'Like the wall' }).click(),
    reads: [['Lean outwards', '26.85°']],
    says: [/24 × Stave/, /along the grain/, /Taper from the grain/],
  },
  {
    way: 'Grain-matched',
    ring: 6,
    set: async (page) => {
      await bar(page).getByLabel('Once it is glued').selectOption('opened like a book');
    },
    reads: [['Once it is glued', 'opened']],
    says: [/12b/, /Double-thick stock/, /open it like a book/],
  },
  {
    way: 'Segments of layers',
    ring: 6,
    set: (page) => type(page, 'Row 1, thickness', '3/8'),
    reads: [['Row 1, thickness', '3/8"']],
    says: [/24 × Outer layer/, /24 × Inner layer/, /Layer line, at the joints/],
  },
  {
    way: 'Half and half',
    ring: 6,
    async set(page) {
      await type(page, 'First half', '8');
      await bar(page).getByLabel('Divider between the halves').check();
      await bar(page).getByLabel('Sawn in two later').check();
    },
    reads: [['First half', '8']],
    says: [/8 × Segment of the first half/, /2 × Divider/, /Saw the ring in two/],
  },
  {
    way: 'Pie with a plug',
    ring: 1,
    async set(page) {
      await type(page, 'Plug across', '1 1/4');
      await type(page, 'Drill', '1');
    },
    reads: [
      ['Plug across', '1 1/4"'],
      ['Drill', '1"'],
    ],
    says: [/1 × Plug/, /Drill 1" through the middle and bore the hole out to 1 1\/4"/],
  },
  {
    way: 'Solid disc',
    ring: 6,
    set: async () => {},
    reads: [],
    says: [/1 × Disc/, /saw it round/],
  },
];

for (const [which, cases] of [
  ['joints', JOINTS],
  ['what a ring is built of', BUILT],
] as const)
  test(`ways by ${which}: each is reached, set, read back from its plan and after a reload`, async ({
    page,
    fellside,
  }) => {
    await open(page, fellside, 'Fell Race Cup', 'Rings');
    for (const { way, ring: number, set, reads, says } of cases)
      await test.step(way, async () => {
        await make(page, number, way);
        await set(page);
        const sheet = await plan(page, number);
        for (const sentence of says) await expect(sheet).toContainText(sentence);
        await sheet.getByRole('button', { name: 'Close' }).click();
        await saved(page);
        await page.reload();
        await expect(bar(page).getByRole('button', { name: /^Made as (?!various)/ })).toBeVisible();
        for (const [label, value] of reads)
          await expect(bar(page).getByLabel(label, { exact: true })).toHaveValue(value);
      });
  });

test('a set of spacers that does not close is refused with its misfit, and one press takes the nearest that does', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await make(page, 9, 'Spaced segments');
  await bar(page).getByLabel('Spacers at').selectOption('picked joints');
  await press(page, 'Joint 9');
  await expect(totals(page)).toContainText(/do not close: the last joint is .* out/);
  await page.getByRole('button', { name: /^Look at/ }).click();
  await page.getByRole('button', { name: /Take the nearest that can be made/ }).click();
  await page.keyboard.press('Escape');
  await expect(bar(page).getByRole('button', { name: /^Joints with spacers/ })).toHaveText('Joints 1, 9, 17');
  await expect(totals(page)).not.toContainText('do not close');
});

test('slices of a thick ring are linked: one is painted and all follow, each keeps its own turn', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await ring(page, 8).click();
  await ring(page, 11).click({ modifiers: ['Shift'] });
  await chooseWay(page, 'Slices of a thick ring');
  await expect(bar(page)).toContainText('Slices of one thick ring: 8, 9, 10, 11');
  await ring(page, 9).click();
  await type(page, 'Turn', '3.75°');
  await page.getByRole('button', { name: 'Purpleheart' }).click();
  await page.getByRole('button', { name: 'Whole of ring 9' }).click();
  for (const number of [8, 11]) {
    const row = page.locator(`[data-ring="${number}"]`);
    await expect(row).toHaveAttribute('data-woods', 'purpleheart 24');
  }
  await expect(page.getByRole('textbox', { name: 'Turn, in segments or degrees, of ring 9' })).toHaveValue(
    '0.25 = 3.75°',
  );
  const sheet = await plan(page, 8);
  await expect(sheet).toContainText(/Thick ring/);
  await expect(sheet).toContainText(/for 4 slices/);
});

test('a ring goes into the stash, into another piece and back: undo puts it back for everybody', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Honey Class Jar', 'Rings');
  await ring(page, 4).click();
  await bar(page).getByRole('button', { name: 'Ring 4' }).click();
  await page.getByRole('menuitem', { name: /Put one like it in the stash/ }).click();
  await page.getByLabel('What it is called').fill('Amber ring');
  await page.getByRole('button', { name: 'Put it in the stash' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);

  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await make(page, 9, 'From the stash');
  await page
    .getByRole('row', { name: /Amber ring/ })
    .getByRole('button', { name: 'Use as ring 9' })
    .click();
  await expect(bar(page)).toContainText('“Amber ring”: real size and woods');
  await page.getByRole('button', { name: 'Hard maple' }).click();
  await page.getByRole('button', { name: 'Whole of ring 9' }).click();
  await expect(page.getByText(/its woods are what they are/).first()).toBeVisible();
  await saved(page);

  await page.goto(`${fellside.url}/woods`);
  const stash = page.getByRole('table', { name: 'Rings in the stash' });
  await expect(stash).toContainText('in Fell Race Cup');
  await page.goBack();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await saved(page);
  await page.goto(`${fellside.url}/woods`);
  await expect(stash).not.toContainText('in Fell Race Cup');
  await page.getByRole('button', { name: 'Throw away Amber ring' }).click();
  await expect(stash).not.toContainText('Amber ring');
  await page.getByRole('button', { name: 'Ring on hand' }).click();
  await page.getByLabel('What it is called').fill('Oddment');
  await page.getByLabel('Outside diameter').fill('5');
  await page.getByLabel('Hole, corner').fill('6');
  await page.getByLabel('Height').fill('3/4');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText(/The ring has no width/);
  await page.getByLabel('Hole, corner').fill('3 1/2');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(stash).toContainText('Oddment');
});

test('leaning rings: the other hand is told and used; the mirror image stands on the shelf', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await ring(page, 8).click();
  await ring(page, 11).click({ modifiers: ['Shift'] });
  await chooseWay(page, 'Tilted joints');
  await expect(totals(page)).toContainText(/96 leaning pieces of the other hand/);
  await type(page, 'Stripe meets at radius', '2.5');
  await expect(
    page.getByText(/Joints meet at a radius of 2 1\/2"; the step left over/).first(),
  ).toBeVisible();
  await bar(page).getByRole('button', { name: 'Left and right in turn' }).click();
  await expect(totals(page)).not.toContainText('other hand');
  await saved(page);
  await page.goto(fellside.url);
  await page.getByRole('button', { name: 'What to do with Fell Race Cup' }).click();
  await page.getByRole('menuitem', { name: 'Make its mirror image' }).click();
  await page.getByRole('link', { name: 'Open Fell Race Cup (mirror image)' }).click();
  await go(page, 'Rings');
  await ring(page, 8).click();
  await expect(bar(page).getByLabel('Joints lean')).toHaveValue('left');
});

test('the cuts tell hands, numbers and what comes from where', async ({ page, fellside }) => {
  await open(page, fellside, 'Shepherd’s Lantern', 'Cuts');
  await expect(page.getByRole('region', { name: 'Pieces' })).toContainText('Spacer');
  await page.getByRole('link', { name: 'Rip and mitre' }).click();
  const rip = page.getByRole('region', { name: 'Rip', exact: true });
  await expect(rip).toContainText(/ring 5: \d+ right/);
  await expect(rip).toContainText(/ring 6: \d+ left/);
  await expect(page.getByRole('region', { name: 'Mitre' })).toContainText('two fences');
});

test('a climbing stripe: spacers in every other leaning joint, run on from ring to ring, and their pieces in Cuts', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await ring(page, 9).click();
  await ring(page, 13).click({ modifiers: ['Shift'] });
  await chooseWay(page, 'Tilted joints');
  await type(page, 'Blade tilt', '18');
  await bar(page).getByLabel('Cut with').selectOption('same edge out: one hand');
  await bar(page).getByLabel('Between segments').selectOption('spacers');
  await bar(page).getByLabel('Spacers at').selectOption('evenly spread joints');
  await bar(page).getByLabel('How many').selectOption('12');
  await type(page, 'Spacer thickness', '1/8');
  await bar(page).getByRole('button', { name: 'Run the stripe on' }).click();
  await page.getByRole('button', { name: 'Purpleheart' }).click();
  await page.getByRole('button', { name: 'Every spacer' }).click();
  const sheet = await plan(page, 10);
  for (const sentence of [
    /12 × Spacer/,
    /Spacer, level/,
    /bevel their top and bottom edges by 18°/,
    /squeeze from above and below/,
  ])
    await expect(sheet).toContainText(sentence);
  await sheet.getByRole('button', { name: 'Close' }).click();
  // One spacer more than lies evenly is refused, with what would.
  await bar(page).getByLabel('Spacers at').selectOption('picked joints');
  await press(page, 'Joint 2');
  await expect(page.getByText(/do not close: the last joint is .* out/).first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await saved(page);
  await go(page, 'Cuts');
  await expect(page.getByRole('region', { name: 'Pieces' }).getByText('Spacer').first()).toBeVisible();
});

test('layers one above the other, by rows: copied, moved by the keyboard, every other segment upside down', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await make(page, 7, 'Segments of layers');
  await bar(page).getByLabel('Layers lie').selectOption('one above the other');
  await type(page, 'Row 1, thickness', '3/16');
  await bar(page).getByLabel('Row 1, wood').selectOption('Purpleheart');
  await bar(page).getByLabel('Copy row 1').click();
  await expect(bar(page).getByLabel('Row 3, wood')).toBeVisible();
  const woods = () =>
    Promise.all([1, 2, 3].map((row) => bar(page).getByLabel(`Row ${row}, wood`).inputValue()));
  const before = await woods();
  // The lowest is listed last: up by the keyboard puts it one higher.
  await bar(page).getByRole('button', { name: 'Move row 3' }).focus();
  await page.keyboard.press('Space');
  await expect(bar(page).getByRole('button', { name: 'Move row 3' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/item 3 was moved over droppable area 2/).first()).toBeAttached();
  await page.keyboard.press('Space');
  await expect.poll(woods).toEqual([before[0], before[2], before[1]]);
  const sheet = await plan(page, 7);
  await expect(sheet).toContainText(/turning the strip over between cuts/);
  await expect(sheet).toContainText(/24 × Top layer/);
  await expect(sheet.getByText(/every other segment stands upside down/)).toBeVisible();
});

test('letters with a backing and spacers: pieces of the backing are there to read', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await make(page, 10, 'Letters and pictures');
  await bar(page).getByLabel('Between segments').selectOption('spacers');
  await type(page, 'Spacer thickness', '1/16');
  await type(page, 'Pocket, deep', '3/8');
  await type(page, 'Backing, behind', '3/8');
  const sheet = await plan(page, 10);
  for (const sentence of [/24 × Backing/, /24 × Spacer/, /one for the backing/])
    await expect(sheet).toContainText(sentence);
  await sheet.getByRole('button', { name: 'Close' }).click();
  await type(page, 'Backing, behind', '5');
  await expect(
    bar(page)
      .getByText(/nothing is left for the backing/)
      .first(),
  ).toBeVisible();
});

test('four answers: layers in leaning joints round spacers and gaps, then slices; what does not go together says what would', async ({
  page,
  fellside,
}) => {
  await open(page, fellside, 'Fell Race Cup', 'Rings');
  await ring(page, 9).click();
  await ring(page, 10).click({ modifiers: ['Shift'] });
  await chooseWay(page, 'Segments of layers');
  const joints = bar(page).getByRole('group', { name: 'Joints' });
  await joints.getByLabel('Joints lean').selectOption('right');
  await joints.getByLabel('Cut with').selectOption('strip turned over: wedges');
  await expect(page.getByText(/is sawn with the same edge out/).first()).toBeVisible();
  await joints.getByLabel('Between segments').selectOption('joint by joint');
  await joints.getByRole('button', { name: '2 spacers, 0 gaps…' }).click();
  const panel = page.getByRole('dialog', { name: 'What joints hold' });
  for (const joint of ['Joint 7: nothing', 'Joint 7: spacer', 'Joint 19: nothing', 'Joint 19: spacer'])
    await panel.getByRole('button', { name: joint, exact: true }).click();
  await page.keyboard.press('Escape');
  const sheet = await plan(page, 9);
  for (const sentence of [
    /24 × Inner layer/,
    /2 × Spacer/,
    /lies between two gaps/,
    /face to face in this order/,
  ])
    await expect(sheet).toContainText(sentence);
  await sheet.getByRole('button', { name: 'Close' }).click();
  await ring(page, 10).click({ modifiers: ['Shift'] });
  await bar(page).getByLabel('Once it is glued').selectOption('sliced from thicker stock');
  await expect(page.getByText(/close the gaps, or leave the ring whole/).first()).toBeVisible();
  await joints.getByLabel('Between segments').selectOption('spacers');
  await bar(page).getByLabel('Once it is glued').selectOption('sliced from thicker stock');
  await expect(bar(page).getByText(/Slices of one thick ring: 9, 10/)).toBeVisible();
  await expect(
    bar(page).getByRole('button', { name: /^Made as Segments of layers, sliced, leaning with spacers/ }),
  ).toBeVisible();
  await saved(page);
});
