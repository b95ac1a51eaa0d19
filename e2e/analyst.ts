/** An analyst who charts by real keys, and takes what is offered where it is right. Keys are counted. */
import type { Page } from '@playwright/test';
import { columnsSaid } from '../bench/keys';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { passOf, valueWords } from '../core/charting';
import { COLLEGE } from '../core/field';
import { formatLine, SAID, saidFields, saidWords } from '../core/line';
import type { WalkedSnap } from '../core/rules';
import { SNAP_FIELDS, type SnapFact, type SnapFields } from '../core/snap';
import { line } from './staff';

const PASS = passOf('front')!;
/** Charted in the second pass, and so not typed in the first. */
export const SECOND: ReadonlySet<string> = new Set<SnapFact>(PASS.fields);

interface Offered {
  readonly key: string;
  readonly words: string;
}
const offersIn = async (page: Page, region: string): Promise<Offered[]> => {
  // A key is echoed before its offers are ranked.
  await page.locator(`${region} .offers:not([aria-busy=true])`).waitFor();
  return page.evaluate(
    (where) =>
      [...document.querySelectorAll(`${where} .offers > button`)].map((b) => ({
        key: b.querySelector('kbd')?.textContent ?? '',
        words: b.querySelector('strong')?.textContent ?? '',
      })),
    region,
  );
};

/** One snap in the snap line, to Enter; the keys it took. */
export async function typeSnap(page: Page, row: WalkedSnap): Promise<number> {
  const first = Object.fromEntries(
    Object.entries(saidFields(row)).filter(([f]) => !SECOND.has(f)),
  ) as SnapFields;
  const words = saidWords(first, DEFAULT_BOOK);
  const left = new Map(SAID.flatMap((_, c) => (words[c] ? [[c, words[c]!] as const] : [])));
  const parts = new Set<string>(
    SAID.flatMap((f, c) => {
      const { side, with: others } = SNAP_FIELDS[f];
      return words[c] ? [f, ...(side ? [side] : []), ...(others ?? [])] : [];
    }),
  );
  // The run or pass part follows from its word, and is not said again.
  const rest = formatLine(
    Object.fromEntries(Object.entries(first).filter(([f]) => !parts.has(f))) as SnapFields,
    { book: DEFAULT_BOOK, profile: COLLEGE, state: null, previous: null },
  ).replace(' play=""', '');
  let keys = 0;
  const press = async (key: string): Promise<void> => {
    await page.keyboard.press(key === '\\' ? 'Backslash' : key);
    keys++;
  };
  const take = async (typed: string): Promise<boolean> => {
    const offers = await offersIn(page, '[aria-label="Snap line"]');
    let best: { offer: Offered; columns: number[] } | null = null;
    for (const offer of offers) {
      if (offer.key === '' || offer.key === 'Enter') continue;
      if (typed !== '' && !offer.words.startsWith(typed)) continue;
      const columns = columnsSaid(offer.words, left);
      if (columns && columns.length > 0 && (!best || columns.length > best.columns.length))
        best = { offer, columns };
    }
    if (!best) return false;
    await press(best.offer.key);
    for (const c of best.columns) left.delete(c);
    return true;
  };
  while (left.size > 0) {
    if (await take('')) continue;
    const [c, word] = [...left][0]!;
    let done = false;
    for (let n = 1; n <= Math.min(2, word.length - 1) && !done; n++) {
      await page.keyboard.type(word[n - 1]!);
      keys++;
      done = await take(word.slice(0, n));
      if (!done && n === Math.min(2, word.length - 1)) {
        await page.keyboard.type(`${word.slice(n)} `);
        keys += word.length - n + 1;
        left.delete(c);
        done = true;
      }
    }
    if (!done && word.length < 2) {
      await page.keyboard.type(`${word} `);
      keys += word.length + 1;
      left.delete(c);
    }
  }
  // A half begins: nothing says the quarter and who kicks off but the line.
  const ending = row.anchored ? `q${row.before.quarter} ${row.before.offense} ${rest}` : rest;
  await page.keyboard.type(ending);
  keys += ending.length;
  await press('Enter');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('[data-testid=snap-line]')?.value === '',
  );
  await line(page).focus();
  return keys;
}

/** The open snap of the defense pass, every field of it; the keys it took. */
export async function keySnap(page: Page, row: WalkedSnap): Promise<number> {
  let keys = 0;
  const press = async (key: string): Promise<void> => {
    await page.keyboard.press(key);
    keys++;
  };
  const now = page.locator('.passstrip .echo div[data-now="true"] dt');
  for (let guard = 0; guard < 20 && (await now.count()) > 0; guard++) {
    const label = await now.textContent();
    const field = PASS.fields.find((f) => SNAP_FIELDS[f].label === label)!;
    const value = row.snap[field] as string | number | null;
    if (value === null) await press('Tab');
    else if (value === '-') await press('-');
    else if (value === '?') await press('x');
    else if (typeof value === 'number') for (const digit of String(value)) await press(digit);
    else {
      const offer = (await offersIn(page, '.passstrip')).find((o) => o.words === valueWords(value));
      if (offer && /^[1-9]$/.test(offer.key)) await press(offer.key);
      else {
        await press('a');
        await page.keyboard.type(valueWords(value));
        keys += valueWords(value).length;
        await press('Enter');
      }
    }
    await page.waitForFunction(
      (was) => document.querySelector('.passstrip .echo div[data-now="true"] dt')?.textContent !== was,
      label,
    );
  }
  return keys;
}
