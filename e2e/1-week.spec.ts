import { expect, test } from './place';
import { choose, SITE, HALF_GAME, line, pdfText, saved, signIn, type, visit } from './staff';

test('from the half-logged game to a printed call sheet', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: /Continue Marrow Fen Stags at Hollowquay Wrens/ }).click();
  await expect(page.getByTestId('before')).toHaveText('1st & 10');

  await test.step('ten snaps by keyboard, one wrong on purpose', async () => {
    await page.keyboard.type('11 trips r gun 4-2 over cover 3 strong power r #22 +6');
    await expect(page.getByTestId('after')).toHaveText('2nd & 4');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('before')).toHaveText('2nd & 4');
    await type(page, '.. stick #7>#81 +3');
    await expect(page.getByTestId('before')).toHaveText('3rd & 1');
    await type(page, '12 wing l pistol inside zone l #22 +2');
    await type(page, '11 doubles r gun mesh inc');
    await type(page, '.. draw #22 +9');
    await type(page, '3&6 @o45 11 spread gun levels #7>#11 +8');
    await expect(page.getByTestId('finding')).toContainText(
      '3rd & 6 was logged; gain of 9 on 2nd & 10 leaves 3rd & 1.',
    );
    await expect(page.getByTestId('finding')).toContainText('the gain before was 4');
    await page.keyboard.press('F2');
    await expect(page.getByTestId('finding')).toHaveCount(0);
    await expect(page.getByTestId('before')).toHaveText('1st & 10');
    await type(page, 'pen o holding 10');
    await expect(page.getByTestId('before')).toHaveText('1st & 20');
    await type(page, '10 spread gun four verticals inc');
    await type(page, '.. slip screen #22 +7');
    await type(page, '.. curl-flat #7>#84 +5');
    await expect(page.getByTestId('before')).toHaveText('4th & 8');
    await saved(page);
    await page.reload();
    await expect(page.getByText('79 snaps logged; all of them add up.')).toBeVisible();
  });

  await test.step('the situation board shows them, and a number opens its reel', async () => {
    await page.getByRole('link', { name: 'Read', exact: true }).click();
    const all = page.getByRole('button', { name: /^\d{3} snaps$/ }).first();
    await expect(all).toBeVisible();
    const row = page.getByRole('row', { name: /^2nd long/ });
    const number = row.getByRole('button', { name: /^run \d+ of \d+, open the reel/ });
    const [, k] = /run (\d+) of/.exec((await number.getAttribute('aria-label'))!)!;
    await number.click();
    await expect(page.getByRole('dialog')).toContainText(`2nd long, called run: ${k} snaps`);
    await expect(page.getByTestId('reel-snap')).toHaveCount(Number(k));
    await expect(page).toHaveURL(/reel=row\.2-long\.runs/);
    await expect(page.getByTestId('reel-snap').filter({ hasText: 'draw +4' })).toHaveCount(1);
    await page.keyboard.press('Escape');
    // The view has an address of its own.
    await row.getByRole('button', { name: '2nd long' }).click();
    await expect(page).toHaveURL(/cell=2-long/);
    await page.reload();
    await expect(page.getByRole('heading', { name: '2nd long' })).toBeVisible();
  });

  const wanted: string[] = [];
  await test.step('twelve calls in four sections', async () => {
    await page.getByRole('link', { name: 'Plan', exact: true }).click();
    await page.getByRole('button', { name: 'Start' }).click();
    await expect(
      page.getByRole('heading', { name: /Saltmere Herons offense against Marrow Fen Stags/ }),
    ).toBeVisible();
    const name = (await page.getByRole('button', { name: /^rename / }).getAttribute('aria-label'))!.slice(
      'rename '.length,
    );
    await page.getByRole('button', { name: `rename ${name}` }).click();
    await page.getByLabel('name of the sheet').fill('Marsh week');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: /^Marsh week: Saltmere/ })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('status', { name: 'Done' })).toContainText('The sheet is as before.');
    await expect(page.getByRole('heading', { name: new RegExp(`^${name}: Saltmere`) })).toBeVisible();
    for (const section of ['Openers', '1st & 10', '3rd medium', 'Red, their 15 to 4']) {
      const box = page.getByRole('region', { name: section, exact: true });
      const head = box.getByRole('button', { name: section, exact: true });
      await head.focus();
      await page.keyboard.press('Enter');
      await expect(head).toHaveAttribute('aria-pressed', 'true');
      for (let i = 0; i < 3; i++) {
        const add = page
          .getByRole('button', { name: new RegExp(`^add .* to ${section.replace(/[,]/g, ',')}$`) })
          .nth(i + (wanted.length % 2));
        await add.focus();
        await page.keyboard.press('Enter');
        await expect(box.getByTestId('call')).toHaveCount(i + 1);
        wanted.push(
          (await box.getByTestId('call').nth(i).getAttribute('aria-label'))!.replace(
            /^call \d+: (.*?)\. Space.*$/,
            '$1',
          ),
        );
      }
    }
    await expect(page.getByText('12 calls, fits one page')).toBeVisible();
    // What is open stands beside it, and leads there; three calls are more than the third medium of a game needs.
    const open = page.getByRole('list', { name: 'What the sheet leaves open' });
    await expect(open).toContainText(/No call, though so many snaps a game are expected: 2nd long \d+\.\d/);
    await open.getByRole('button', { name: 'Goal line', exact: true }).click();
    await expect(
      page
        .getByRole('region', { name: 'Goal line', exact: true })
        .getByRole('button', { name: 'Goal line', exact: true }),
    ).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByRole('region', { name: '3rd medium', exact: true })).toContainText(
      /^3rd medium3 calls, \d are enough · expect \d\.\d a game \(\d\.\d–\d\.\d\), n 13/,
    );
    await page.reload();
    await expect(page.getByTestId('call')).toHaveCount(12);
  });

  await test.step('a play is argued by the looks they show to its structure, each with the snaps behind it', async () => {
    await page
      .getByRole('region', { name: '1st & 10', exact: true })
      .getByRole('button', { name: '1st & 10', exact: true })
      .click();
    const plays = page.getByRole('region', { name: 'Suggestions' });
    await expect(plays).toContainText('ranked by the low end of what to expect against the looks they show');
    const rows = plays.getByRole('listitem').filter({ hasText: 'expect success' });
    const lows = (await rows.allTextContents()).map((t) =>
      Number(/expect success \d+ % \((\d+)–/.exec(t)![1]),
    );
    expect(lows.length).toBeGreaterThan(5);
    expect(lows).toEqual([...lows].sort((a, b) => b - a));
    const theirs = rows.getByRole('button', { name: /^theirs [1-9]\d* of \d+$/ }).first();
    const [, k] = /theirs (\d+)/.exec((await theirs.textContent())!)!;
    await theirs.click();
    await expect(page.getByRole('dialog')).toContainText(new RegExp(`defense, 1st & 10: .*: ${k} snap`));
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
  });

  await test.step('a call is dragged, put back, moved by keyboard, marked with a hash', async () => {
    const goal = page.getByRole('region', { name: 'Goal line', exact: true });
    const first = page
      .getByRole('list', { name: /^Plays for/ })
      .getByRole('listitem')
      .first();
    // A window that holds the whole sheet: near an edge the page scrolls under the pointer, and a section that was lit has gone.
    await page.setViewportSize({ width: 1280, height: 2400 });
    const from = (await first.locator('strong').boundingBox())!;
    await page.mouse.move(from.x + 10, from.y + 5);
    await page.mouse.down();
    await page.mouse.move(from.x + 60, from.y + 20, { steps: 4 });
    await expect(async () => {
      const to = (await goal.boundingBox())!;
      await page.mouse.move(to.x + 60, to.y + 20, { steps: 6 });
      await expect(goal).toHaveClass(/\bover\b/, { timeout: 300 });
    }).toPass();
    await page.mouse.up();
    await expect(goal.getByTestId('call')).toHaveCount(1);
    await page.setViewportSize({ width: 1280, height: 800 });
    await goal.getByTestId('call').focus();
    await page.keyboard.press('Delete');
    await expect(goal.getByTestId('call')).toHaveCount(0);
    const openers = page.getByRole('region', { name: 'Openers', exact: true });
    const second = (await openers.getByTestId('call').nth(1).getAttribute('aria-label'))!.replace(
      /^call \d+: /,
      '',
    );
    await openers.getByTestId('call').nth(1).focus();
    await page.keyboard.press('Alt+ArrowUp');
    await expect(openers.getByTestId('call').first()).toHaveAttribute('aria-label', `call 1: ${second}`);
    await openers.getByRole('button', { name: /^hash of call 1: any/ }).click();
    await expect(openers.getByRole('button', { name: /^hash of call 1: L/ })).toBeVisible();
  });

  await test.step('the PDF has all twelve on one page, Letter and A4', async () => {
    await expect(page.locator('#saved')).toHaveText(/^saved/);
    await page.getByRole('link', { name: 'Print preview' }).click();
    await expect(page.getByRole('img', { name: /page 1 of 1$/ })).toBeVisible();
    const key = page.url().split('/')[4]!;
    for (const [paper, size] of [
      ['letter', [612, 792]],
      ['a4', [595.28, 841.89]],
    ] as const) {
      const response = await page.request.get(`${SITE()}/api/sheets/${key}/pdf?paper=${paper}`);
      expect(response.headers()['content-type']).toBe('application/pdf');
      const pdf = await pdfText(new Uint8Array(await response.body()));
      expect(pdf.pages).toBe(1);
      expect(pdf.size.map(Math.round)).toEqual(size.map(Math.round));
      expect(pdf.text).toContain('Saltmere Herons offense against Marrow Fen Stags');
      expect(wanted).toHaveLength(12);
      for (const call of wanted) expect(pdf.text.replace(/\s*·\s*/g, ', ')).toContain(call);
      for (let n = 1; n <= 12; n++) expect(pdf.text).toMatch(new RegExp(`(^|\\s)${n}(\\s|$)`));
    }
  });
});

test('their defense: a structure, a situation of it, what was shown, who comes; every number opens its snaps', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, '/read?team=STG');
  await page.getByRole('toolbar', { name: 'Filters' }).getByLabel('side').selectOption('defense');
  await expect(page).toHaveURL(/side=defense/);
  const board = page.getByRole('region', { name: 'What they play against each structure' });
  const row = board.getByRole('row').nth(1);
  const door = row.getByRole('button', { name: /open the reel$/ });
  const [, k, n] = /(\d+) of (\d+)/.exec((await door.textContent())!)!;
  expect(Number(k)).toBeLessThanOrEqual(Number(n));
  await door.click();
  const reel = page.getByRole('dialog');
  const snaps = reel.getByRole('list', { name: 'Snaps of the reel' }).getByRole('listitem');
  await expect(snaps).toHaveCount(Number(k));
  await page.keyboard.press('Escape');
  await expect(reel).toBeHidden();
  // A cell by keys: its snaps and what they answered with.
  const cell = row.getByRole('button', { name: /, 1st down: / });
  const marks = (await cell.getAttribute('aria-label'))!.match(
    /: (\d+) closed zone, (\d+) open zone, (\d+) man/,
  )!;
  await cell.focus();
  await page.keyboard.press('Enter');
  await expect(cell).toHaveAttribute('aria-pressed', 'true');
  const answers = page.getByRole('region', { name: 'What they answer with' });
  const sum = marks.slice(1).reduce((s, m) => s + Number(m), 0);
  await expect(answers.getByRole('button', { name: `${sum} snaps` })).toBeVisible();
  await expect(page).toHaveURL(/at=/);
  await page.reload();
  await expect(answers.getByRole('button', { name: `${sum} snaps` })).toBeVisible();
  // A card: what is shown, rotated and brought, each with its snaps.
  const shown = answers.getByRole('button', { name: / high shown \d+ of \d+/ }).first();
  const [, shells] = / (\d+) of /.exec((await shown.textContent())!)!;
  await expect(answers.getByRole('img', { name: /:/ }).first()).toBeVisible();
  await shown.click();
  await expect(snaps).toHaveCount(Number(shells));
  await page.keyboard.press('Escape');
  await expect(reel).toBeHidden();
  const pressure = page.getByRole('region', { name: 'When five or more come' });
  const all = pressure.getByRole('button', { name: /^all \d+ of \d+/ });
  const came = /all (\d+)/.exec((await all.textContent())!)![1];
  await all.click();
  await expect(snaps).toHaveCount(Number(came));
});

test('their offense, drawn and judged: a throw by its place, a coverage by what it leaves, a call by what follows it', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, '/read?team=STG');
  const reel = page.getByRole('dialog');
  const snaps = reel.getByRole('list', { name: 'Snaps of the reel' }).getByRole('listitem');
  const opens = async (door: ReturnType<typeof page.getByRole>, n: number): Promise<void> => {
    await door.click();
    await expect(snaps).toHaveCount(n);
    await page.keyboard.press('Escape');
    await expect(reel).toBeHidden();
  };
  // The uses of a formation are all of its called snaps.
  const look = page.getByRole('region', { name: 'Formations', exact: true }).locator('.look').first();
  await expect(look.getByRole('button', { name: /^all \d+$/ })).toBeVisible();
  const doors = await look.locator('.lookdoors button').allTextContents();
  const counts = doors.slice(1, -1).map((d) => Number(/ (\d+)$/.exec(d)![1]));
  expect(counts.reduce((a, b) => a + b, 0)).toBe(Number(/^all (\d+)$/.exec(doors.at(-1)!)![1]));
  const thrown = doors.find((d) => /^0 to 9, /.test(d))!;
  await opens(look.getByRole('button', { name: `${thrown}, success` }), Number(/ (\d+)$/.exec(thrown)![1]));
  // A coverage of the book, and their calls at what it leaves.
  const choosing = page.getByRole('region', { name: 'Choosing a coverage' });
  const costly = choosing.getByRole('row', { name: /a light box/ }).first();
  const met = costly.getByRole('button', { name: /their calls at what it leaves/ });
  await opens(met, Number(/^(\d+) of /.exec((await met.textContent())!)![1]));
  const behind = page.getByRole('region', { name: 'What a call leaves behind' });
  const call = behind
    .getByRole('row')
    .nth(1)
    .getByRole('button', { name: /, n: \d+, open the reel$/ });
  await opens(call, Number(await call.textContent()));
});

test('edit, insert, remove and undo, all by keyboard', async ({ page }) => {
  await signIn(page);
  await visit(page, `/log/${HALF_GAME}`);
  await expect(line(page)).toBeFocused();
  await page.keyboard.press('ArrowUp');
  const shown = await line(page).inputValue();
  expect(shown.length).toBeGreaterThan(5);
  await page.keyboard.press('End');
  await page.keyboard.type(' "looked again"');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('said')).toHaveText('changed');
  await page.keyboard.press('ArrowUp');
  await expect(line(page)).toHaveValue(/"looked again"/);
  await page.keyboard.press('Alt+KeyI');
  await expect(line(page)).toHaveValue('');
  await type(page, '"a snap the camera missed"');
  await saved(page);
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(line(page)).toHaveValue(/camera missed/);
  await page.keyboard.press('Alt+KeyX');
  await expect(page.getByTestId('said')).toHaveText('removed; Ctrl Z undoes it');
  for (const _ of [1, 2, 3]) {
    await page.keyboard.press('Control+KeyZ');
    await expect(page.getByTestId('said')).toHaveText('undone');
  }
  await page.keyboard.press('ArrowUp');
  await expect(line(page)).toHaveValue(shown);
  await page.keyboard.press('Escape');
  await saved(page);
});

test('problems are named in place, the nearest word is one key away, and a line may be saved as it is', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, `/log/${HALF_GAME}`);
  await page.keyboard.type('pwoer r +6');
  await expect(page.getByRole('alert').filter({ hasText: '“pwoer” is not in the book' })).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(line(page)).toHaveValue('power r +6');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('?');
  await expect(page.getByRole('dialog', { name: 'The snap line' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.type('2&13 zzgork run');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('said')).toContainText('Enter again saves it as it is');
  await page.keyboard.press('Enter');
  await saved(page);
  await page.keyboard.press('ArrowUp');
  await expect(line(page)).toHaveValue(/unread: zzgork run/);
  await page.keyboard.press('Alt+KeyX');
  await saved(page);
  // A draft survives a reload.
  await page.keyboard.type('11 trips');
  await page.reload();
  await expect(line(page)).toHaveValue('11 trips');
});

test('two members at one game: different fields both land, the same field is offered with both names', async ({
  browser,
}) => {
  const [one, two] = await Promise.all([browser.newContext(), browser.newContext()]);
  const [a, b] = [await one.newPage(), await two.newPage()];
  await signIn(a);
  await signIn(b, 'Ivo Sedgewarden');
  for (const p of [a, b]) {
    await visit(p, `/log/${HALF_GAME}`);
    await expect(line(p)).toBeFocused();
    await p.keyboard.press('ArrowUp');
    await p.keyboard.press('End');
  }
  await a.keyboard.type(' bear');
  await b.keyboard.type(' tite mike a pressure');
  await a.keyboard.press('Enter');
  await saved(a);
  await b.keyboard.press('Enter');
  const offer = b.getByRole('alert').filter({ hasText: 'Dara Okafor-Lind' });
  await expect(offer).toContainText('set front to “bear”');
  await expect(offer).toContainText('you typed “tite”');
  await offer.getByRole('button', { name: 'take mine' }).click();
  await saved(b);
  await a.reload();
  await expect(line(a)).toBeFocused();
  await a.keyboard.press('ArrowUp');
  await expect(line(a)).toHaveValue(/tite.*mike a pressure/);
  await one.close();
  await two.close();
});

test('words of the book: add, say, merge', async ({ page }) => {
  await signIn(page);
  await visit(page, '/book?kind=coverage');
  await page.getByRole('textbox', { name: 'Word', exact: true }).fill('blue three');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('“blue three” is in the book')).toBeVisible();
  await visit(page, `/log/${HALF_GAME}`);
  await type(page, '1&10 @o30 blue three power r +1');
  await saved(page);
  await visit(page, '/book?kind=coverage');
  await page.getByRole('button', { name: /^blue three/ }).click();
  await page.getByRole('button', { name: 'merge blue three into another word' }).click();
  await choose(page, 'Keep', 'cover 3');
  await page.getByRole('button', { name: 'Merge', exact: true }).click();
  await expect(page.getByText('merged; 1 snap and 0 plays now say the other term')).toBeVisible();
  await visit(page, `/log/${HALF_GAME}`);
  await page.keyboard.press('ArrowUp');
  await expect(line(page)).toHaveValue(/cover 3/);
  await page.keyboard.press('Alt+KeyX');
  await saved(page);
});

test('a guest is told who could, and the address of another game is a plain not-found', async ({ page }) => {
  await signIn(page, 'Merrit Gorsefield');
  await visit(page, '/book?kind=formation');
  await expect(page.getByRole('button', { name: /^merge / })).toHaveCount(0);
  expect((await page.goto(`${SITE()}/log/no-such-game`))!.status()).toBe(404);
  const cards = await page.request.get(`${SITE()}/api/book/cards?paper=a4`);
  expect(cards.status()).toBe(200);
  await page.getByRole('button', { name: 'sign out' }).click();
  await expect(page).toHaveURL(/sign-in/);
  await page.getByRole('button', { name: /Nye Ashcombe/ }).click();
  await expect(page.getByText('You are signed in as guest.')).toBeVisible();
  // A guest sees no opponent, no members, no rules and no way to them.
  await expect(page.getByRole('link', { name: /The week: no opponent chosen/ })).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Work' }).getByRole('link')).toHaveCount(0);
  for (const path of ['/log', '/read', '/plan', '/rep', '/book', '/staff', '/log/import']) {
    await visit(page, path);
    await expect(page.getByRole('heading', { name: 'Not for your roles' }), path).toBeVisible();
  }
  // The connection of the cards has idled for as long as the server keeps one: a reset is asked again, as a browser does.
  const refused = await page.request.get(`${SITE()}/api/export`, { maxRetries: 2 });
  expect([refused.status(), ((await refused.json()) as { error: string }).error]).toEqual([
    403,
    'exporting the program is for a coordinator or coach or charter.',
  ]);
  const cross = await page.request.post(`${SITE()}/api/sync`, {
    headers: { origin: 'http://elsewhere.invalid', 'content-type': 'application/json' },
    data: { scope: `game:${HALF_GAME}`, ops: [] },
  });
  expect(cross.status()).toBe(403);
});

test('headers and cookie are as OWASP asks', async ({ page }) => {
  const response = (await page.goto(`${SITE()}/sign-in`))!;
  const headers = response.headers();
  expect(headers['content-security-policy']).toMatch(
    /default-src 'self'.*script-src 'self' 'nonce-.*frame-ancestors 'none'/,
  );
  expect([headers['x-content-type-options'], headers['x-frame-options'], headers['x-powered-by']]).toEqual([
    'nosniff',
    'DENY',
    undefined,
  ]);
  await signIn(page);
  const cookie = (await page.context().cookies()).find((c) => c.name === 'vobrik_session')!;
  expect([cookie.httpOnly, cookie.sameSite]).toEqual([true, 'Strict']);
  expect((await page.request.get(`${SITE()}/api/sync?scope=game:${HALF_GAME}`)).status()).toBe(200);
  await page.getByRole('button', { name: 'sign out' }).click();
  await expect(page).toHaveURL(/sign-in/);
  expect((await page.request.get(`${SITE()}/api/sync?scope=game:${HALF_GAME}`)).status()).toBe(401);
});

test('nothing loads from another host', async ({ page }) => {
  const hosts = new Set<string>();
  page.on('request', (r) => hosts.add(new URL(r.url()).host));
  await signIn(page);
  for (const path of ['/log', '/read', '/plan', '/rep', '/book', '/staff']) await visit(page, path);
  expect([...hosts]).toEqual([new URL(SITE()).host]);
});

test('the command palette goes to a play, a game and a term, and runs a command of the screen', async ({
  page,
}) => {
  await signIn(page);
  const ask = async (words: string): Promise<void> => {
    await page.keyboard.press('Control+KeyK');
    const dialog = page.getByRole('dialog', { name: 'Go to or do' });
    await expect(dialog.getByText('Games', { exact: true })).toBeVisible();
    await page.keyboard.type(words);
    await page.keyboard.press('Enter');
    await expect(dialog).toHaveCount(0);
  };
  await ask('stags at hollowquay');
  await expect(page).toHaveURL(new RegExp(`/log/${HALF_GAME}`));
  await expect(line(page)).toBeFocused();
  // Typed lines stay where they are; the screen's own commands are listed with their keys.
  await page.keyboard.type('trips r');
  await ask('look card');
  await expect(page.getByRole('dialog')).toContainText('trips right');
  await page.keyboard.press('Escape');
  await expect(line(page)).toHaveValue('trips r');
  await ask('play angle');
  await expect(page.getByRole('region', { name: 'The play Angle' })).toBeVisible();
  await ask('term quarters coverage');
  await expect(page.getByRole('region', { name: 'The word quarters' })).toBeVisible();
  await page.getByRole('button', { name: 'Go to or do, Ctrl K' }).click();
  await page.keyboard.type('nothing is called so');
  await expect(page.getByText('Nothing of that name.')).toBeVisible();
});
