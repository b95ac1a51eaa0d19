'use client';
/** The ways into the palette and the help, by key and by button. Their code comes when it is first asked for. */
import { useEffect, useState } from 'react';
import { chordOf } from './keys';
import type { PaletteProps } from './Palette';
import { part } from './part';

const Palette = part(() => import('./Palette'));
const KeysHelp = part(() => import('./KeysHelp'));

type Panel = 'palette' | 'keys';
const PANELS: Readonly<Record<string, Panel>> = { 'Mod+K': 'palette', 'Mod+/': 'keys' };

export function PaletteKey(props: Omit<PaletteProps, 'onClose'>) {
  const [open, setOpen] = useState<Panel | null>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const panel = PANELS[chordOf(event)];
      if (!panel) return;
      event.preventDefault();
      setOpen((now) => (now === panel ? null : panel));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      <button
        type="button"
        className="plain small"
        onClick={() => setOpen('palette')}
        aria-label="Go to or do, Ctrl K"
      >
        go to <kbd>Ctrl K</kbd>
      </button>
      <button
        type="button"
        className="plain small"
        onClick={() => setOpen('keys')}
        aria-label="Keys of this screen, Ctrl /"
      >
        keys
      </button>
      {open === 'palette' && <Palette {...props} onClose={() => setOpen(null)} />}
      {open === 'keys' && <KeysHelp onClose={() => setOpen(null)} />}
    </>
  );
}
