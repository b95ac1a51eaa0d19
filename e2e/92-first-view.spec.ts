import { firstView, MOST_FIRST_SCRIPT, SCREENS } from '../bench/first-view';
import { expect, test } from './place';
import { signIn, SITE } from './staff';

test('no screen asks for more than 250 kB of script before it can be used', async ({ page, browser }) => {
  await signIn(page);
  const cookies = await page.context().cookies();
  for (const screen of SCREENS) {
    const { scriptBytes } = await firstView(browser, SITE(), screen, cookies);
    // It was really measured: React alone is more than this.
    expect(scriptBytes, screen.name).toBeGreaterThan(60_000);
    expect(scriptBytes, screen.name).toBeLessThan(MOST_FIRST_SCRIPT);
  }
});
