import { afterEach, describe, expect, it } from 'vitest';
import { EARLY_FILM, takeEarly } from './early-film';

const world = globalThis as unknown as Record<string, unknown>;
const asked = (over: object = {}) => {
  const s = new AbortController();
  world[EARLY_FILM] = {
    p: '/api/film',
    o: 'p.m',
    h: 'g=1',
    a: Promise.resolve(new Response('[]')),
    s,
    ...over,
  };
  return s;
};
afterEach(() => {
  delete world[EARLY_FILM];
});

describe('the film that was asked for before the script', () => {
  it('answers the same question, once', async () => {
    asked();
    expect(await (await takeEarly('/api/film', 'p.m', 'g=1', 400)!).text()).toBe('[]');
    expect(takeEarly('/api/film', 'p.m', 'g=1', 500)).toBeNull();
  });
  it.each([
    ['another film', '/api/film?teams=A', 'p.m', 'g=1'],
    ['another member', '/api/film', 'p.n', 'g=1'],
    ['other games at hand than were noted', '/api/film', 'p.m', 'g=2'],
  ])('of %s it is stopped', (_, path, owner, have) => {
    const stopped = asked();
    expect(takeEarly(path, owner, have, 400)).toBeNull();
    expect(stopped.signal.aborted).toBe(true);
  });
  it('half a minute old it is no news', () => {
    const stopped = asked();
    expect(takeEarly('/api/film', 'p.m', 'g=1', 31_000)).toBeNull();
    expect(stopped.signal.aborted).toBe(true);
  });
});
