/** Chords as the command lists write them: Mod is Ctrl, or Command on a Mac. Letters go by their place on the keyboard. */
export type KeyPress = Pick<KeyboardEvent, 'key' | 'code' | 'altKey' | 'ctrlKey' | 'metaKey' | 'shiftKey'>;

export function chordOf(keyPress: KeyPress): string {
  const letter = /^Key([A-Z])$/.exec(keyPress.code)?.[1];
  const plain = !keyPress.altKey && !keyPress.ctrlKey && !keyPress.metaKey;
  const key = letter && !plain ? letter : keyPress.key;
  return [
    keyPress.ctrlKey || keyPress.metaKey ? 'Mod' : null,
    keyPress.altKey ? 'Alt' : null,
    keyPress.shiftKey && !(plain && key.length === 1) ? 'Shift' : null,
    key,
  ]
    .filter(Boolean)
    .join('+');
}

const WORDS: Readonly<Record<string, string>> = {
  Mod: 'Ctrl',
  ArrowUp: '↑',
  ArrowDown: '↓',
  ArrowLeft: '←',
  ArrowRight: '→',
  Escape: 'Esc',
  ' ': 'Space',
};
/** A chord as it stands on a key cap. */
export const chordWords = (chord: string): string =>
  chord
    .split('+')
    .map((k) => WORDS[k] ?? k)
    .join(' ');
