import { describe, expect, it } from 'vitest';
import { Opening } from './opening';

describe('what waits for the outbox', () => {
  it('is answered whether it asks before, in the same moment or after', async () => {
    const opening = new Opening<string>();
    const before = opening.opened();
    opening.open('outbox');
    // Asked through a function taken before it was open, by a screen that has not been drawn anew.
    const { opened } = opening;
    expect(await Promise.all([before, opened(), opening.opened()])).toEqual(['outbox', 'outbox', 'outbox']);
  });

  it('waits for the next when the first closed before it was open', async () => {
    const opening = new Opening<string>();
    const asked = opening.opened();
    opening.close();
    opening.open('second');
    expect(await asked).toBe('second');
    opening.close();
    const later = opening.opened();
    opening.open('third');
    expect(await later).toBe('third');
  });

  it('is told why when it cannot open, also when nobody had asked', async () => {
    const opening = new Opening<string>();
    opening.fail(new Error('its storage is full'));
    await expect(opening.opened()).rejects.toThrow('its storage is full');
  });
});
