/** The book and the look: a formation nobody has named, rules that move the counts, merges undone, look cards, 7-on-7. */
import { readFileSync } from 'node:fs';
import { axe } from './axe';
import { expect, test, type Locator, type Page } from './place';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { writeBook } from '../core/book/term';
import { choose, SITE, HALF_GAME, line, pdfText, saved, signIn, type, visit } from './staff';

const snapsIn = async (page: Page): Promise<number> => {
  const button = page.locator('.toolbar').getByRole('button', { name: /^\d+ snaps?$/ });
  await expect(button).toBeVisible();
  return Number((await button.textContent())!.split(' ')[0]);
};
const dragTo = async (page: Page, from: Locator, dx: number, dy: number): Promise<void> => {
  const box = (await from.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + dx / 2, box.y + box.height / 2 + dy / 2, { steps: 4 });
  await page.mouse.move(box.x + box.width / 2 + dx, box.y + box.height / 2 + dy, { steps: 4 });
  await page.mouse.up();
};

test('from a formation nobody has named to a named, drawn, tagged one, found by structure and printed', async ({
  page,
}) => {
  let actions = 0;
  /** One thing a person does: a click, a shortcut, a drag, a field filled. */
  const act = async (what: Promise<unknown>): Promise<void> => {
    actions++;
    await what;
  };
  await signIn(page);
  await visit(page, `/log/${HALF_GAME}`);
  await expect(line(page)).toBeFocused();
  await act(page.keyboard.type('1&10 @o30r 11 gull r gun 4-2 over cover 3 inside zone r #22 +3'));
  await expect(page.getByText('draw it as a formation')).toBeVisible();
  await act(page.keyboard.press('Alt+KeyD'));
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('gull');
  await act(page.getByRole('textbox', { name: 'By words' }).fill('trips r h tight y off'));
  await act(page.keyboard.press('Enter'));
  await expect(page.getByTestId('structure')).toContainText('3x1 to the right, trey right');
  // Z comes in to the wing: the structure follows while he is dragged, and the point snaps.
  const z = page.getByRole('button', { name: /^Z: 16\.0 yards right/ });
  const field = (await page.locator('.drawfield').boundingBox())!;
  const yard = field.width / 51;
  await act(dragTo(page, z, (6.5 - 16) * yard, 0.5 * yard));
  await expect(page.getByRole('button', { name: /^Z: 6\.4 yards right, 1\.4 deep/ })).toBeVisible();
  await expect(page.getByTestId('structure')).toContainText('wing trey condensed right');
  await expect(page.getByTestId('nearest')).toContainText('Call it …?');
  await act(page.getByRole('button', { name: 'Save in the Book' }).click());
  await expect(line(page)).toHaveValue(/11 gull r gun/);
  await expect(page.getByTestId('says')).toContainText('in the box');
  await line(page).focus();
  await act(page.keyboard.press('Enter'));
  await expect(line(page)).toHaveValue('');
  await saved(page);
  expect(actions).toBeLessThanOrEqual(25);
  test.info().annotations.push({ type: 'actions', description: String(actions) });

  await visit(page, '/read?team=STG');
  for (const [field, value] of [
    ['structure', /^3x1/],
    ['strong side', /^wing trey condensed/],
  ] as const) {
    await page.getByRole('button', { name: 'add a filter' }).click();
    await page.getByRole('menuitem', { name: field, exact: true }).click();
    await page.getByRole('menuitem', { name: value }).click();
  }
  await expect(page).toHaveURL(/structure/);
  await page.getByRole('button', { name: 'add a filter' }).click();
  await page.getByRole('menuitem', { name: 'formation', exact: true }).click();
  await page.getByRole('menuitem', { name: /^gull/ }).click();
  await expect(page.getByRole('heading', { name: 'gull right, gun' })).toBeVisible();
  await expect.poll(() => snapsIn(page)).toBe(1);

  await visit(page, '/book?find=gull');
  await page.getByRole('button', { name: /^gull/ }).click();
  await expect(page.getByRole('region', { name: 'The word gull' })).toContainText(
    'wing trey condensed right',
  );
  const href = await page.getByRole('link', { name: 'Print its card' }).getAttribute('href');
  const card = await pdfText(new Uint8Array(await (await page.request.get(SITE() + href!)).body()));
  expect(card.pages).toBe(1);
  expect(card.text).toContain('gull right');
  expect(card.text).toContain('3x1 to the right');
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'SVG' }).click(),
  ]);
  expect(readFileSync((await svg.path())!, 'utf8')).toMatch(/^<svg xmlns[\s\S]*>Z<\/text>/);
  const [png] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'PNG' }).click(),
  ]);
  expect(
    readFileSync((await png.path())!)
      .subarray(1, 4)
      .toString(),
  ).toBe('PNG');
});

test('a man is moved by keys alone, and undone', async ({ page }) => {
  await signIn(page);
  await visit(page, '/book/draw?from=formation-doubles');
  await page.getByRole('button', { name: /^H: 8\.0 yards left/ }).focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByRole('button', { name: /^H: 6\.7 yards left|^H: 6\.4 yards left/ })).toBeVisible();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('button', { name: /^H: .* on the line/ })).toBeVisible();
  await page.keyboard.press('Control+KeyZ');
  await page.keyboard.press('Control+KeyZ');
  await expect(page.getByRole('button', { name: /^H: 8\.0 yards left, 1\.0 deep/ })).toBeVisible();
  await expect(page.getByTestId('nearest')).toContainText('This is doubles right');
  await page.getByRole('button', { name: 'Mirror' }).click();
  await expect(page.getByTestId('structure')).toContainText('pro left');
  // A covered man is warned of, never refused.
  await page.getByRole('button', { name: /^Z:/ }).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText(/is covered by a man outside him/)).toBeVisible();
});

test('a tag in doubt counts half when the staff says so, and is found', async ({ page }) => {
  await signIn(page);
  await visit(page, '/log/2026-w08-stg-wre');
  await page.getByTestId('snap-line').click();
  // The last drive ends with a kick; this is a play of it.
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowUp');
  await expect(page.getByTestId('snap-line')).not.toHaveValue('');
  await page.keyboard.press('End');
  await page.keyboard.type(' quality=starters?');
  await page.keyboard.press('Enter');
  await expect(page.locator('#saved')).toHaveText(/^saved/);
  await visit(page, '/read?team=WRE');
  await page.getByRole('button', { name: '1 with a tag in doubt', exact: true }).click();
  await expect(page.getByRole('dialog')).toContainText('A tag in doubt: 1 snap');
  await visit(page, '/staff');
  await page.getByRole('button', { name: 'Change the rules' }).click();
  await choose(page, 'tags in doubt', 'the snap counts half');
  await page.getByRole('button', { name: 'Save the rules' }).click();
  await expect(page.getByText('tags in doubt: the snap counts half')).toBeVisible();
  await visit(page, '/read?team=WRE');
  await expect(page.getByRole('button', { name: '1 with a tag in doubt, counting half' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^\d+ snaps, worth \d/ })).toBeVisible();
  await visit(page, '/staff');
  await page.getByRole('button', { name: 'Change the rules' }).click();
  await page.getByRole('button', { name: 'Reset to defaults' }).click();
  await expect(page.getByText('tags in doubt: count like the others')).toBeVisible();
});

test('the strength rule moves the counts, and back', async ({ page }) => {
  await signIn(page);
  const byStrength = async () => {
    await visit(page, '/read?team=STG&filter=boundary:the boundary');
    return snapsIn(page);
  };
  const before = await byStrength();
  await visit(page, '/staff');
  await page.getByRole('button', { name: 'Change the rules' }).click();
  await choose(page, 'passing strength by', 'the tight end');
  await choose(page, 'then by', 'more receivers');
  await page.getByRole('combobox', { name: 'then by' }).nth(1).selectOption({ label: 'the field' });
  await page.getByRole('button', { name: 'Save the rules' }).click();
  await expect(page.getByText('Passing strength by the tight end, then more receivers')).toBeVisible();
  expect(await byStrength()).not.toBe(before);
  await visit(page, '/staff');
  await page.getByRole('button', { name: 'Change the rules' }).click();
  await page.getByRole('textbox', { name: 'backed up, from' }).fill('95');
  await page.getByRole('button', { name: 'Save the rules' }).click();
  await expect(
    page.getByRole('alert').filter({
      hasText: 'every yard from 1 to 99 must lie in just one zone; 4 yards do not, the first is 91',
    }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Reset to defaults' }).click();
  await expect(
    page.getByText('Passing strength by more receivers, then the field, then the tight end'),
  ).toBeVisible();
  expect(await byStrength()).toBe(before);
});

test('one word into two by a condition with its count, and undone', async ({ page }) => {
  await signIn(page);
  await visit(page, '/book?term=formation-trey');
  await page.getByRole('button', { name: 'split trey' }).click();
  await choose(page, 'When', 'personnel');
  const twelve = page.getByRole('checkbox', { name: /^12 \(\d+\)$/ });
  const n = Number(/\((\d+)\)/.exec((await page.getByText(/^12 \(\d+\)$/).textContent())!)![1]);
  await twelve.check();
  await expect(page.getByTestId('split-count')).toHaveText(new RegExp(`^${n} of \\d+ snaps$`));
  await choose(page, 'They say', 'a new term …');
  await page.getByRole('textbox', { name: 'New term' }).fill('trey heavy');
  await page.getByRole('button', { name: 'Split', exact: true }).click();
  await expect(page.getByText(`split; ${n} snaps now say the other word`)).toBeVisible();
  await visit(page, '/book?find=trey heavy');
  await expect(page.getByRole('button', { name: new RegExp(`^trey heavy ?${n}`) })).toBeVisible();
  await visit(page, '/book');
  await page.getByRole('button', { name: 'undo: trey heavy split from trey' }).click();
  await expect(page.getByText(`undone; ${n} snaps say again what they said`)).toBeVisible();
});

test('the look card is reached from Log, Read, a reel and Plan, and places all twenty-two', async ({
  page,
}) => {
  await signIn(page);
  const ledger = async (): Promise<void> => {
    const dialog = page.getByRole('dialog').last();
    await expect(dialog.getByRole('list', { name: 'What it says' })).toContainText('in the box against');
    for (const name of ['Ours', 'Theirs'])
      await expect(dialog.getByRole('table').filter({ hasText: name }).getByRole('row')).toHaveCount(12);
    expect(await dialog.getByRole('table').count()).toBe(3);
    await dialog.getByRole('button', { name: 'Close' }).click();
  };
  await visit(page, `/log/${HALF_GAME}`);
  await expect(line(page)).toBeFocused();
  await page.keyboard.type('12 wing pro r i 4-3 over cover 3 strong stretch r');
  await page.keyboard.press('Alt+KeyL');
  await expect(page.getByRole('dialog')).toContainText('the force defender');
  await choose(page, 'blocking count at', 'down left, guard kicks');
  await expect(page.getByRole('dialog')).toContainText('kicks out');
  await choose(page, 'blocking count at', 'the call');
  await ledger();
  await expect(line(page)).toBeFocused();
  await page.keyboard.press('Escape');

  await visit(page, '/read?team=STG&filter=play:run;direction:R&reel=all');
  await page.getByRole('dialog').getByRole('button', { name: 'look card' }).click();
  await ledger();
  await visit(page, '/read?team=STG');
  await page
    .getByRole('button', { name: /^look card of / })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toContainText('in the box against');
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();

  await visit(page, '/plan');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('button', { name: 'add Power right to 1st & 10' }).click();
  await page.getByRole('button', { name: 'look card of call 1' }).click();
  // What the opponent's defense answered this structure with, counted, with a door to its snaps.
  const answer = page
    .getByRole('dialog')
    .getByRole('button', { name: /: \d+ of \d+, open the reel$/ })
    .first();
  const k = Number((await answer.textContent())!.split(' ')[0]);
  await answer.click();
  await expect(page.getByRole('dialog').last()).toContainText(`Marrow Fen Stags defense: ${k} snaps`);
  await expect(page.getByTestId('reel-snap')).toHaveCount(k);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(1);
  await ledger();
});

test('a play: other ways to show it with the jobs they change, a set-up that the sheet asks for', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, '/book?kind=plays&play=play-angle');
  await choose(page, 'Play', 'Stick');
  await page.getByRole('spinbutton', { name: 'Shown at least' }).fill('99');
  await page.getByRole('button', { name: 'Link it' }).click();
  await expect(page.getByText('links saved')).toBeVisible();
  await expect(page.getByRole('region', { name: 'The play Angle' })).toContainText(
    /Show Stick first, 99 times: shown \d+, not yet enough/,
  );
  await visit(page, '/book?kind=plays&play=play-power-left');
  const pictures = page.getByRole('region', { name: 'Other ways to show it' });
  await expect(pictures).toContainText(/\d+ can be shown with 12 personnel/);
  const first = pictures.getByRole('row').nth(1);
  await expect(first).toContainText(/new for (nobody|\d+ of 11)/);
  await first.getByRole('button').click();
  await expect(pictures.getByRole('heading', { name: /new for \d+ of 11/ })).toBeVisible();

  await visit(page, '/plan');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('button', { name: 'add Angle to 1st & 10' }).click();
  await expect(page.getByRole('list', { name: 'What the sheet leaves open' })).toContainText(
    /Angle pays after Stick was shown 99 times: it was shown \d+ times/,
  );
});

test('the book travels: formation sheets, book.json out and in', async ({ page }) => {
  await signIn(page);
  await visit(page, '/book');
  const sheet = await pdfText(
    new Uint8Array(await (await page.request.get(`${SITE()}/api/book/cards`)).body()),
  );
  for (const t of DEFAULT_BOOK.terms)
    if (t.kind === 'formation') expect(sheet.text).toContain(`${t.word} right`);
  const theirs = await pdfText(
    new Uint8Array(await (await page.request.get(`${SITE()}/api/book/cards?team=STG&paper=a4`)).body()),
  );
  expect(theirs.text).toMatch(/Marrow Fen Stags: formations on 5 games.*\d+ of \d+ snaps/);
  expect(theirs.size.map(Math.round)).toEqual([595, 842]);
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save book.json' }).click(),
  ]);
  const book = JSON.parse(readFileSync((await saved.path())!, 'utf8')) as { terms: { word: string }[] };
  expect(book.terms.length).toBeGreaterThan(250);
  const bring = (text: string) =>
    page
      .getByLabel('book.json to bring')
      .setInputFiles({ name: 'book.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await bring(
    writeBook({
      ...DEFAULT_BOOK,
      terms: [{ id: 'front-brought', kind: 'front', word: 'brought front', aliases: [] }],
    }),
  );
  await expect(page.getByText('1 word added, 0 changed; words the file does not hold stay')).toBeVisible();
  await bring(
    '{"name": "x", "letters": [], "terms": [{"id": "a", "kind": "front", "word": "z", "aliases": ["over"]}]}',
  );
  await expect(
    page.getByRole('alert').filter({ hasText: '“z”: “over” stands for 4-2 over already' }),
  ).toBeVisible();
  expect((await page.request.get(`${SITE()}/api/book/cards?term=no-such-word`)).status()).toBe(404);
});

test('a word’s meaning is typed, refused by name when it cannot be read, and drawn', async ({ page }) => {
  await signIn(page);
  await visit(page, '/book?kind=front');
  await page.getByRole('textbox', { name: 'Word', exact: true }).fill('wide even');
  await page.getByRole('textbox', { name: 'Means' }).fill('w9 w3 s3 x9 | M0');
  await expect(page.locator('.notationmarks mark')).toHaveText('x9');
  await page.getByRole('button', { name: /“x9” is not a side .* and a number/ }).click();
  await expect(page.getByRole('textbox', { name: 'Means' })).toBeFocused();
  await expect.poll(() => page.evaluate(() => String(getSelection()))).toBe('x9');
  await expect(page.getByRole('button', { name: 'Add', exact: true })).toBeDisabled();
  await page.getByRole('textbox', { name: 'Means' }).fill('w9 w3 s3 s9 | M0');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('region', { name: 'The word wide even' })).toContainText(
    '4 on the line (weak 9, weak 3, strong 3, strong 9), 1 behind it.',
  );
});

test('7-on-7 film has its own field and is never counted with eleven-man film', async ({ page }) => {
  await signIn(page);
  await visit(page, '/read?team=STG');
  const eleven = await snapsIn(page);
  await visit(page, '/log');
  await choose(page, 'Away', 'Marrow Fen Stags');
  await choose(page, 'Home', 'Tidewick Drovers');
  await choose(page, 'Kind of film', 'seven on seven');
  await choose(page, 'Level', '7-on-7');
  await page.getByRole('button', { name: 'Start game' }).click();
  await expect(line(page)).toBeFocused();
  await type(page, 'offense=STG defense=DRO 1&10 @t40 trips r gun cover 3 stick +7');
  await type(page, '.. quarters snag inc');
  await saved(page);
  await visit(page, '/read?team=STG');
  await expect.poll(() => snapsIn(page)).toBe(eleven);
  await choose(page, 'film', '7-on-7');
  await expect(page).toHaveURL(/film=seven/);
  await expect.poll(() => snapsIn(page)).toBe(2);
  await page
    .getByRole('button', { name: /^2 snaps$/ })
    .first()
    .click();
  await expect(page.getByTestId('reel-snap')).toHaveCount(2);
  // Seven men stand: a snapper, a quarterback and five who may catch; nobody is in a box.
  await page.getByRole('dialog').getByRole('button', { name: 'look card' }).click();
  await expect(page.getByRole('dialog').last()).not.toContainText('in the box');
  await expect(page.getByRole('dialog').last()).toContainText('3x1 to the right');
});

test('a motion drawn by hand is named by its path, with what it changes', async ({ page }) => {
  await signIn(page);
  await visit(page, '/book/draw?from=formation-trips');
  await page.getByRole('button', { name: 'Try a motion' }).click();
  const yard = (await page.locator('.drawfield').boundingBox())!.width / 51;
  await dragTo(page, page.getByRole('button', { name: /^H:/ }), -12 * yard, 1 * yard);
  await expect(page.getByTestId('motion')).toContainText(
    'H: fast across, “jet” in this book. 3x1 becomes 2x2; H right #3 → left #2.',
  );
  // He has not been moved: a motion is not a place.
  await expect(page.getByRole('button', { name: /^H: 7\.0 yards right/ })).toBeVisible();
});

test('a pressure is made by choices, checked on every picture, and stands in the book', async ({ page }) => {
  await signIn(page);
  await visit(page, '/book?kind=pressure');
  const form = page.locator('form').filter({ has: page.getByRole('heading', { name: 'Add to pressures' }) });
  // A name that is taken is said as it is typed.
  await form.getByLabel('Word').fill('mike a pressure');
  await expect(form).toContainText(/“mike a pressure”/);
  await form.getByLabel('Word').fill('gull');
  await form.getByRole('button', { name: 'Design it on every picture' }).click();
  const dialog = page.getByRole('dialog', { name: 'gull' });
  const meaning = dialog.getByTestId('meaning');
  await expect(meaning).toHaveText('| drop 0 | threat 4');
  await dialog.getByRole('button', { name: 'Add a man' }).click();
  await choose(page, 'man 1', 'nickel');
  await choose(page, 'gap of man 1', 'B');
  await choose(page, 'side of man 1', 'to the field');
  await dialog.getByRole('button', { name: 'Add a man' }).click();
  await choose(page, 'side of man 2', 'away from the back');
  await expect(meaning).toHaveText('nickel:B:f mike:A:away | drop 0 | threat 4');
  const table = dialog.getByRole('table', { name: 'What it leaves open' });
  await expect(table.getByRole('row')).toHaveCount(14);
  const said = (): Promise<string> => table.innerText();
  const before = await said();
  await axe(page);
  // Three of the line drop: more is open, and said where.
  await choose(page, 'of the line drop', '3');
  await expect.poll(said).not.toBe(before);
  await expect(
    dialog.getByRole('heading', { name: /^Something is open on \d+ of 14 pictures$/ }),
  ).toBeVisible();
  await choose(page, 'of the line drop', '0');
  await expect.poll(said).toBe(before);
  // Another picture is drawn, with who has what.
  await table.getByRole('button', { name: 'two backs, left' }).click();
  await expect(dialog.getByRole('img', { name: 'gull on two backs, left' })).toBeVisible();
  await expect(dialog.getByRole('heading', { name: 'Who owns what on two backs, left' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Take it as the meaning' }).click();
  await expect(form.getByLabel('Means')).toHaveValue('nickel:B:f mike:A:away | drop 0 | threat 4');
  await form.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('“gull” is in the book')).toBeVisible();
  const word = page.getByRole('region', { name: 'The word gull' });
  await expect(word).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(word.getByLabel('Means')).toHaveValue('nickel:B:f mike:A:away | drop 0 | threat 4');
});
