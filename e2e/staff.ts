import { expect, type Page } from '@playwright/test';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** The address of this file's own server. */
export const SITE = (): string => process.env.VOBRIK_E2E_SITE!;
export const HALF_GAME = '2026-w08-stg-wre';

/** Opens a page and waits until it has arrived whole: parts that stream in stand hidden until they take their places. */
export async function visit(page: Page, address: string): Promise<void> {
  await page.goto(SITE() + address);
  await expect(page.locator('div[hidden][id^="S:"]')).toHaveCount(0);
}

/**
 * Waits until nothing is under way any more, for a while: a request of a worker that ended with its page is sometimes
 * never counted as done, and a journey would wait for it to its own end.
 */
export const rested = (page: Page): Promise<void> =>
  page.waitForLoadState('networkidle', { timeout: 20_000 }).catch(() => undefined);

export async function signIn(page: Page, name = 'Dara Okafor-Lind'): Promise<void> {
  await visit(page, '/sign-in');
  await page.getByRole('button', { name: new RegExp(name) }).click();
  await expect(page.getByRole('heading', { name: 'What is next' })).toBeVisible();
}

/** Signs in by name and password where no demo member can be picked. */
export async function enter(page: Page, name: string, password: string): Promise<void> {
  await visit(page, '/sign-in');
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

/** Chooses from a list by its label and the words of the option. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).first().selectOption({ label: option });
}

export const line = (page: Page) => page.getByTestId('snap-line');
export const saved = (page: Page) => expect(page.locator('#saved')).toHaveText(/^saved/);

/** This browser's disk is busy with something else until it is let go; what it is told meanwhile waits. */
export async function holdDisk(page: Page): Promise<() => Promise<void>> {
  await page.evaluate(async () => {
    const name = (await indexedDB.databases()).map((d) => d.name ?? '').find((n) => n.startsWith('vobrik.'))!;
    const db = await new Promise<IDBDatabase>((resolve) => {
      const open = indexedDB.open(name);
      open.onsuccess = () => resolve(open.result);
    });
    let held = true;
    Object.assign(window, { letGo: () => (held = false) });
    const store = db.transaction('ops', 'readwrite').objectStore('ops');
    const hold = (): void => {
      if (held) store.count().onsuccess = hold;
      else db.close();
    };
    hold();
  });
  return () => page.evaluate(() => (window as unknown as { letGo: () => void }).letGo());
}

/** Types a snap by keyboard alone and keeps it. */
export async function type(page: Page, text: string): Promise<void> {
  await expect(line(page)).toBeFocused();
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
  await expect(line(page)).toHaveValue('');
}

/** The text of a PDF's pages, and the size of the first in points. */
export async function pdfText(
  bytes: Uint8Array,
): Promise<{ pages: number; text: string; size: readonly number[] }> {
  const doc = await getDocument({ data: bytes, useSystemFonts: false, verbosity: 0 }).promise;
  const words: string[] = [];
  for (let n = 1; n <= doc.numPages; n++)
    words.push(
      ...(await (await doc.getPage(n)).getTextContent()).items.map((i) => ('str' in i ? i.str : '')),
    );
  return {
    pages: doc.numPages,
    text: words.join(' ').replace(/\s+/g, ' '),
    size: (await doc.getPage(1)).view.slice(2),
  };
}
