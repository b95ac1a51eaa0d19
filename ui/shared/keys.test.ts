import { expect, it } from 'vitest';
import { chordOf, chordWords, type KeyPress } from './keys';

const press = (key: string, more: Partial<KeyPress> = {}): KeyPress => ({
  key,
  code: /^[a-z]$/i.test(key) ? `Key${key.toUpperCase()}` : key,
  altKey: false,
  ctrlKey: false,
  metaKey: false,
  shiftKey: false,
  ...more,
});

it.each([
  [press('z', { ctrlKey: true }), 'Mod+Z', 'Ctrl Z'],
  [press('z', { metaKey: true }), 'Mod+Z', 'Ctrl Z'],
  [press('Z', { ctrlKey: true, shiftKey: true }), 'Mod+Shift+Z', 'Ctrl Shift Z'],
  // Alt writes another character on some keyboards; the key is the same.
  [press('ı', { altKey: true, code: 'KeyI' }), 'Alt+I', 'Alt I'],
  [press('ArrowUp'), 'ArrowUp', '↑'],
  [press('F6'), 'F6', 'F6'],
  [press('Tab', { shiftKey: true }), 'Shift+Tab', 'Shift Tab'],
  [press('?', { shiftKey: true }), '?', '?'],
  [press('i'), 'i', 'i'],
])('%o is %s', (event, chord, words) => {
  expect(chordOf(event)).toBe(chord);
  expect(chordWords(chord)).toBe(words);
});
