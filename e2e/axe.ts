/** What axe finds wrong on a page, light and dark: one way to ask for all journeys. */
import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from './place';

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/**
 * Only what is wrong is written up: of the thousands of nodes that pass, the selectors took a third of the time. No
 * page holds a frame, so none is asked for the frames' part, which opened a page of its own and took half.
 */
const builder = (page: Page) =>
  new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });

const said = ({ violations }: Awaited<ReturnType<AxeBuilder['analyze']>>): string[] =>
  violations.map(
    (v) =>
      `${v.id}: ${v.nodes
        .slice(0, 3)
        .map((n) => n.html.slice(0, 160))
        .join(' | ')}`,
  );

export const violationsOf = async (page: Page): Promise<string[]> =>
  said(await builder(page).withTags(TAGS).analyze());

/** In the dark only the colors are others. */
export async function violationsInTheDark(page: Page): Promise<string[]> {
  await page.emulateMedia({ colorScheme: 'dark' });
  const found = said(await builder(page).withRules(['color-contrast']).analyze());
  await page.emulateMedia({ colorScheme: 'light' });
  return found;
}

export const axe = async (page: Page): Promise<void> => expect(await violationsOf(page)).toEqual([]);
