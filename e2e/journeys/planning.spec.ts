import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { allSaved, expect, goTo, openDemo, startHome, test } from './home';

type Step = 'Measure' | 'Sort' | 'Try' | 'Plan' | 'Get';

/** Opens one of the five steps of setting a space up. */
async function openStep(page: Page, space: string, step: Step): Promise<void> {
  await goTo(page, 'Nooks');
  await page.getByRole('link', { name: space }).click();
  await page.getByRole('button', { name: 'Plan' }).click();
  await page.getByRole('navigation', { name: 'Setting up' }).getByRole('link', { name: step }).click();
  await expect(page.getByRole('link', { name: step, exact: true })).toHaveAttribute('aria-current', 'step');
}
const toStep = (page: Page, step: Step): Promise<void> =>
  page.getByRole('navigation', { name: 'Setting up' }).getByRole('link', { name: step }).click();

/** A plan of as many boxes of one kind as stand; the first of a space, or another one beside it. */
async function fillWith(
  page: Page,
  box: string,
  budget: string,
  shelves: 'May move on their holes' | 'Stay' | null,
  another = false,
): Promise<void> {
  if (another) await page.getByRole('button', { name: 'Another' }).click();
  await page.getByRole('radio', { name: 'As many boxes as possible' }).click();
  await page.getByRole('radio', { name: box }).click();
  await page.getByLabel('May cost at most').fill(budget);
  if (shelves) await page.getByRole('radio', { name: shelves }).click();
  await page.getByRole('button', { name: 'Find the best mix' }).click();
}

test('boat loft: pole boxes go between the posts only at a slant, two of three @wide', async ({ page, server }) => {
  await openDemo(page, server);
  await openStep(page, 'Rack 2', 'Try');
  await page.getByRole('radio', { name: 'E', exact: true }).click();
  await page.getByRole('button', { name: /^pole box/ }).click();
  const answer = page.getByTestId('fit-answer');
  await expect(answer.getByRole('heading')).toHaveText('Straight, none fits. Turned 12.7°, two of three do.');
  await expect(answer).toContainText('20 mm too wide between the posts');
  await expect(answer).toContainText('The best found; perhaps not the most.');
  await expect(page.getByText('Fix it to the wall’s structure.')).toBeVisible();

  await page.getByRole('button', { name: /^lid box, large/ }).click();
  await expect(answer).toContainText('Slides in with its lid shut');
});

test('chest freezer: litres by its measures; of seven narrow bins five fit, and no more can @wide', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await openStep(page, 'Porch freezer', 'Measure');
  // 66 × 50 × 48 + 20 × 50 × 20 + two baskets of 42 × 48 × 24 cm.
  await expect(page.getByTestId('cold-room')).toContainText('275 l by its measures');
  await toStep(page, 'Try');
  await page.getByRole('radio', { name: 'C', exact: true }).click();
  await page.getByRole('button', { name: /^freezer bin, narrow/ }).click();
  await expect(page.getByTestId('fit-answer').getByRole('heading')).toHaveText('Five of seven fit: 5 side by side.');
  await expect(page.getByTestId('fit-answer')).toContainText('The most possible.');

  // In a cellar without a signal: the solver, too, is on the device.
  await server.stop();
  await toStep(page, 'Plan');
  await fillWith(page, 'freezer bin, narrow', '', null);
  await expect(page.getByTestId('plan-answer')).toContainText('5 containers stand, 2 stay outside.');
  await expect(page.getByTestId('sync-state').first()).toContainText('waiting');
  await server.start();
  await allSaved(page);
});

test('pantry: it holds 24 flat boxes, and 30 after moving two shelves; the list, ticking off @wide', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await openStep(page, 'Pantry alcove', 'Plan');
  await fillWith(page, 'clear box, flat', '300', 'Stay');
  await expect(page.getByTestId('plan-answer')).toContainText('24 containers stand. 16 to buy, €120.00.');
  await fillWith(page, 'clear box, flat', '300', 'May move on their holes', true);
  await expect(page.getByTestId('plan-answer')).toContainText(
    '30 containers stand. 22 to buy, €165.00. 2 shelves move.',
  );
  const compare = page.getByTestId('plan-compare');
  await expect(compare).toContainText('Plan A');
  await expect(compare).toContainText('Plan B');
  await expect(compare).toContainText('22, €165.00');

  await page.getByRole('button', { name: 'Use this plan' }).click();
  const list = page.getByTestId('get-list');
  await expect(list).toContainText('22 × clear box, flat');
  await expect(list).toContainText('Total €165.00, within €300.00.');
  await expect(list).toContainText('from hole 36 to hole 34');
  await expect(list).toContainText('from hole 52 to hole 51');
  await list.getByRole('button', { name: 'Bought one' }).click();
  await expect(list.getByRole('group', { name: /^Bought: clear box, flat/ })).toHaveText('1');
  const saved = page.waitForEvent('download');
  await list.getByRole('button', { name: 'Table (CSV)' }).click();
  const csv = readFileSync(await (await saved).path(), 'utf8');
  expect(csv).toBe(
    'what,number,bought,width cm,depth cm,height cm,price each,price\r\n"clear box, flat",22,1,33,32,16,7.50,165.00',
  );
  const pdf = page.waitForEvent('download');
  await list.getByRole('button', { name: 'PDF', exact: true }).click();
  expect(
    readFileSync(await (await pdf).path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  await goTo(page, 'Nooks');
  await page.getByRole('button', { name: 'Containers' }).click();
  await expect(page.getByRole('button', { name: /clear box, flat/ })).toBeVisible();
  // Eight and the one that was bought; the other nine are shoe boxes.
  await expect(page.getByText('9 free')).toHaveCount(2);
});

test('boat loft: groups stay together, life jackets in two boxes of one shelf and in no shoe box; why and how good is said @wide', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await openStep(page, 'Rack 2', 'Plan');
  await page.getByRole('button', { name: /^Find (the best mix|again)$/ }).click();
  const answer = page.getByTestId('plan-answer');
  await expect(answer).toContainText(
    /Best found; at most [\d.]+ min a month from the best possible\.|Nothing better is possible\./,
    { timeout: 20_000 },
  );
  await expect(answer).toContainText(/[\d.]+ min a month: /);
  const reasons = page.getByTestId('plan-reasons');
  const jackets = reasons.getByRole('button', { name: /^life jackets, / });
  await expect(jackets).toContainText('2 bins, the fewest that hold it.');
  const tags = /life jackets, ([A-E])\d+, ([A-E])\d+/.exec((await jackets.textContent()) ?? '');
  expect(tags?.[1]).toBe(tags?.[2]);
  await jackets.click();
  const bin = page.getByTestId('planned-bin');
  await expect(bin).toContainText('life jackets');
  await expect(bin).not.toContainText('shoe box');
  // No other group is over more bins than need be, unless it is said why.
  for (const row of await reasons.getByRole('button').all())
    expect(await row.textContent()).not.toMatch(
      /\d bins(?!, the fewest that hold it|; \d+ would hold it, but|; no better plan)/,
    );

  // Too long for the shelves between the posts: they lean, and the rest of the home may be asked.
  const look = page.getByTestId('needs-a-look');
  const paddles = look.getByRole('button', { name: /^Paddle, 4 of 160 × 20 × 8 cm/ });
  await expect(paddles).toContainText('17 cm too large for the');
  await expect(paddles).toContainText('Leans beside Rack 2, if a floor of 20 × 32 cm is free there');
  await expect(look).toContainText('They may be flammable.');

  // By hand: one of the jackets' boxes becomes something else, at the price that was told, and is taken back.
  await jackets.click();
  await page.getByTestId('planned-bin').getByRole('button', { name: 'Change …' }).click();
  const choices = page.getByRole('group', { name: 'What else it could be' });
  const first = choices.getByRole('button').first();
  await expect(first).toContainText(/instead|for all/);
  const before = await page.getByTestId('plan-compare').textContent();
  await first.click();
  await expect(choices).toHaveCount(0);
  await expect.poll(async () => page.getByTestId('plan-compare').textContent()).not.toBe(before);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect.poll(async () => page.getByTestId('plan-compare').textContent()).toBe(before);

  await page.getByRole('button', { name: 'Elsewhere?' }).last().click();
  await expect(page).toHaveURL(/room-for\?name=/);
  await expect(page.getByRole('region', { name: 'Where it fits' })).toBeVisible();
});

test('stair press: sorted thing by thing, planned in baskets that are there, dragged, locked, taken back @wide', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await openStep(page, 'Stair press', 'Sort');
  await page.getByRole('radio', { name: '30 min' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByTestId('sort-progress')).toHaveText(/^0 of \d+ decided$/);
  const thing = page.getByTestId('assess-thing');
  await expect(thing).toContainText('Guest pillow, 4 pieces');
  await thing.getByRole('button', { name: 'Keep here' }).click();
  await expect(page.getByTestId('sort-progress')).toHaveText(/^1 of/);
  await expect(thing).toContainText('Guest quilt, 3 pieces');
  await thing.getByRole('radio', { name: 'Give away' }).click();
  await expect(page.getByTestId('sort-progress')).toHaveText(/^2 of/);
  await allSaved(page);
  await page.reload();
  await expect(page.getByTestId('sort-progress')).toHaveText(/^2 of/);
  await expect(page.getByRole('button', { name: 'Share the give-away list (1)' })).toBeVisible();
  await page.getByTestId('sort-groups').getByRole('radio', { name: 'Season' }).click();
  await expect(page.getByTestId('sort-groups')).toContainText('all year');
  await page.getByTestId('sort-groups').getByRole('radio', { name: 'As the bins are' }).click();
  await page.getByRole('button', { name: 'Finish' }).click();
  await expect(page.getByText('Last sorted on')).toBeVisible();
  await goTo(page, 'Find');
  await page.getByTestId('find').fill('guest quilt');
  await expect(page.getByTestId('answer')).toBeVisible();
  await expect(page.getByText('3 pieces')).toHaveCount(0);

  await openStep(page, 'Stair press', 'Measure');
  await expect(page.getByText('140 cm')).toHaveCount(1);
  const grip = (await page.getByRole('button', { name: /^Move shelf SP-B/ }).boundingBox())!;
  await page.mouse.move(grip.x + 22, grip.y + 22);
  await page.mouse.down();
  await page.mouse.move(grip.x + 22, grip.y + 15, { steps: 5 });
  await page.mouse.up();
  // The shelf rests on a hole, some 3.2 cm steps higher.
  await expect(page.getByText('140 cm')).toHaveCount(0);
  await expect(page.getByText(/^14[3-9]\.\d cm$/)).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByText('140 cm')).toHaveCount(1);

  await openStep(page, 'Stair press', 'Plan');
  await page.getByRole('button', { name: 'Find the best mix' }).click();
  await expect(page.getByTestId('plan-answer')).toContainText(
    /All \d+ groups are housed: \d+ containers, and \d+ groups on the shelves themselves\. Nothing to buy\./,
  );
  // Only what is found to the end stays under the hand.
  const ended = (): Promise<void> => expect(page.getByRole('button', { name: 'Find again' })).toBeVisible();
  await ended();
  const board = page.getByTestId('floor-board');
  // One on which nothing stands, and over which nothing hangs: drawn last, it lies over what is under it.
  const bin = board.getByRole('button').last();
  await bin.click();
  await expect(page.getByTestId('planned-bin')).toContainText('Free: ');
  const before = await page.getByTestId('planned-bin').textContent();
  const box = (await bin.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 400, box.y + box.height / 2, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByRole('alert')).toContainText('it stays where it was');
  // The drag's library swallows a click in the moment after the drop.
  await expect(async () => {
    await page.getByRole('button', { name: 'Lock', exact: true }).click({ timeout: 500 });
    await expect(page.getByRole('button', { name: 'Unlock' })).toBeVisible({ timeout: 1000 });
  }).toPass();
  await page.getByRole('button', { name: 'Find again' }).click();
  await ended();
  // A stack is locked as a whole.
  await expect(board.getByRole('button', { name: /locked/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(board.getByRole('button', { name: /locked/ })).toHaveCount(0);
  expect(before).toContain('Free');

  // One family that cannot house it all. A search that is over before the press on Stop says the same; that Stop stops is shown
  // in usePlanSolver.web.test.tsx.
  await page.getByRole('button', { name: 'Another' }).click();
  await page.getByRole('radio', { name: 'Frost' }).click();
  await page.getByRole('button', { name: 'Find the best mix' }).click();
  await expect(page.getByTestId('plan-answer')).toContainText('find no room');
  await page
    .getByRole('button', { name: 'Stop' })
    .click({ timeout: 2000 })
    .catch(() => undefined);
  await expect(page.getByTestId('plan-answer')).toContainText(/\d+ of \d+ groups are housed; .* find no room\./);
  await expect(page.getByTestId('plan-answer')).toContainText('Best found; it is not proven that no more finds room.');
  await expect(page.getByTestId('plan-compare')).toContainText('Plan B');
});

test('stair press: linen stands on the shelves themselves; set up as planned it is recorded there, and taken back as one @wide', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await openStep(page, 'Stair press', 'Plan');
  const find = page.getByRole('button', { name: /^Find (the best mix|again)$/ });
  await expect(find).toBeVisible();
  // Beside what other journeys have planned here.
  const another = page.getByRole('button', { name: 'Another' });
  if (await another.isVisible()) await another.click();
  await page.getByRole('button', { name: 'Find the best mix' }).click();
  await expect(page.getByRole('button', { name: 'Find again' })).toBeVisible();
  const bare = page.getByTestId('plan-reasons').getByRole('button');
  await bare.filter({ hasText: 'On the shelf itself, without a bin.' }).first().click();
  await expect(page.getByTestId('planned-bin')).toContainText('the shelf itself');
  await page.getByRole('button', { name: 'Use this plan' }).click();
  await page.getByRole('button', { name: 'Set up as planned' }).click();
  await expect(page.getByText('Set up as planned: Stair press.')).toBeVisible();
  const stood = page
    .getByRole('button')
    .filter({ hasText: 'On the shelf itself' })
    .filter({ hasNotText: 'nothing yet' });
  await expect(stood.first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(stood).toHaveCount(0);
  await allSaved(page);
});

test('measuring: a pattern, two readings that differ, figures that contradict, no signal in between @wide', async ({
  page,
  server,
}) => {
  await startHome(page, server);
  await page.getByRole('button', { name: 'Set up a cupboard' }).click();
  await page.getByLabel('What is it called?').fill('Net store');
  await page.getByLabel('In which room?').fill('Boat house');
  await page.getByRole('radio', { name: 'Rack, five shelves, posts' }).click();
  await page.getByRole('button', { name: 'Add it' }).click();
  const question = page.getByTestId('question');
  const answer = async (text: string): Promise<void> => {
    await question.getByRole('textbox').fill(text);
    await question.getByRole('textbox').press('Enter');
  };
  await expect(question).toContainText('How wide is it, outside?');
  for (const [text, said] of [
    ['0', 'nothing; a length is more than 0'],
    ['-3', 'is not a length'],
    ['40 cubits', 'is not a length'],
  ]) {
    await answer(text!);
    await expect(question.getByRole('alert')).toContainText(said!);
    await expect(question.getByRole('textbox')).toHaveValue(text!);
  }
  await answer('40 m');
  await expect(page.getByRole('alert').first()).toContainText('4000 cm wide is more than a cupboard at home has');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await question.getByRole('button', { name: 'Back' }).click();
  await answer('118');
  await expect(question).toContainText('How high is it?');

  await allSaved(page);
  await server.stop();
  await answer('5\' 10 7/8"');
  await expect(page.getByTestId('sync-state').first()).toContainText('waiting');
  await question.getByRole('button', { name: 'Back' }).click();
  await answer('179');
  await expect(question.getByRole('alert')).toContainText('Two readings: 180 cm before, 179 cm now. Which one counts?');
  await question.getByRole('button', { name: '179 cm' }).click();
  await page.getByRole('button', { name: 'Clear width', exact: true }).first().click();
  await answer('130');
  await expect(page.getByText('is 130 cm wide, but inside the space there are only 111 cm.')).toBeVisible();
  await server.start();
  await allSaved(page);
  await page.reload();
  await expect(page.getByText('is 130 cm wide, but inside the space there are only 111 cm.')).toBeVisible();
});

test('measuring made short: a closet with six shelves takes four answers, then it can be planned @wide', async ({
  page,
  server,
}) => {
  await startHome(page, server);
  await page.getByRole('button', { name: 'Set up a cupboard' }).click();
  await page.getByLabel('What is it called?').fill('Hall closet');
  await page.getByLabel('In which room?').fill('Hall');
  await page.getByRole('radio', { name: 'Closet, six shelves' }).click();
  await page.getByRole('button', { name: 'Add it' }).click();
  const question = page.getByTestId('question');
  const open = page.getByTestId('measure-open');
  let answers = 0;
  const answer = async (text: string): Promise<void> => {
    answers += 1;
    const before = await question.textContent();
    await question.getByRole('textbox').fill(text);
    await question.getByRole('textbox').press('Enter');
    // As one reads the next question before one measures.
    await expect(question).not.toHaveText(before ?? '');
  };
  await expect(open).toHaveText('4 more and it can be planned');
  await expect(question).toContainText('From the outside of the left wall');
  await answer('92');
  await expect(open).toHaveText('3 more and it can be planned');
  await answer('210');
  await answer('45');
  await expect(open).toHaveText('1 more and it can be planned');
  await expect(question).toContainText('Heights of the 6 surfaces above the foot, lowest first');
  await question.getByRole('textbox').fill('2, 44, 80, 116, 40, 188');
  await question.getByRole('textbox').press('Enter');
  await expect(question.getByRole('alert')).toHaveText(
    '40 comes after 116 and is not higher. Begin with the lowest shelf.',
  );
  await answer('2, 44, 80, 116, 152, 188');
  await expect(open).toHaveText('It can be planned.');
  expect(answers).toBeLessThanOrEqual(12);
  // From the top shelf down: what is clear over each.
  await expect(page.getByTestId('measure-drawing')).toContainText('92 cm223434343440');
  await allSaved(page);
  await toStep(page, 'Plan');
  // It is measured; what is missing is something to put things into.
  await expect(page.getByText(/^No containers are written down yet/)).toBeVisible();
});

test('containers: a table with a bad row is read but for that row, which gets its sentence', async ({
  page,
  server,
}) => {
  await startHome(page, server);
  await goTo(page, 'Nooks');
  await page.getByRole('button', { name: 'Containers' }).click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Read a table (CSV)' }).click();
  await (
    await chooser
  ).setFiles({
    name: 'boxes.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Name,Width,Depth,Height,Owned\r\n"crate, old",50,30,28 cm,4\r\nbasket,wide,30,20,1\r\n'),
  });
  await expect(page.getByRole('alert')).toHaveText(
    'Row 3: Column “width”: read “wide”; accepted is a length such as 31.5 cm or 12 3/8".',
  );
  await expect(page.getByText('4 free')).toBeVisible();
  await page.getByRole('button', { name: /^crate, old/ }).click();
  await expect(page.getByRole('dialog').getByLabel('Wide')).toHaveValue('50 cm');
});
