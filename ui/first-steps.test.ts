import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { FirstSteps } from './FirstSteps';
import { Skeleton } from './shared/Skeleton';

const steps = (props: Parameters<typeof FirstSteps>[0]): string[] =>
  [...renderToStaticMarkup(createElement(FirstSteps, props)).matchAll(/<li[^>]*>(.*?)<\/li>/g)].map((m) =>
    m[1]!.replace(/<[^>]+>/g, ''),
  );

describe('the first steps', () => {
  it('lead from nothing to a game, an opponent, a drive', () => {
    expect(steps({ game: null, opponent: false, addSample: null })).toEqual([
      'A game: start one with two teams, or import a file of an earlier game.',
      'The opponent of the week: choose it under Staff, once its team is in a game.',
      'The first drive: a line a snap, typed the way a coach says it.',
      'Read: what they call, by situation, as soon as a drive is logged.',
    ]);
  });
  it('check off what is done and name the line that begins the game, by the key of its home team', () => {
    const [game, opponent, drive] = steps({
      game: { key: 'g1', home: 'mir' },
      opponent: true,
      addSample: null,
    });
    expect([game, opponent]).toEqual([
      '✓ A game: started. (done)',
      '✓ The opponent of the week: chosen. (done)',
    ]);
    expect(drive).toContain('the first line says who kicks, such as mir kickoff &gt;o25');
  });
  it('offer the sample game only to one who may import', () => {
    const html = (addSample: (() => Promise<string | null>) | null) =>
      renderToStaticMarkup(createElement(FirstSteps, { game: null, opponent: false, addSample }));
    expect(html(async () => null)).toContain('Add the sample game');
    expect(html(null)).not.toContain('sample');
  });
});

it('a skeleton says what is on its way, and hides its bars from who listens', () => {
  const html = renderToStaticMarkup(createElement(Skeleton, { what: 'Read', rows: [3, 2] }));
  expect(html).toContain('aria-busy="true"');
  expect(html).toContain('Read is on its way');
  expect(html.match(/class="bar"/g)).toHaveLength(5);
  expect(html.match(/aria-hidden="true"/g)).toHaveLength(2);
});
