'use client';
/** The way into the palette, by key and by button. Its code comes when it is first asked for. */
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { chordOf } from './keys';
import type { PaletteProps } from './Palette';

const Palette = dynamic(() => import('./Palette'), { ssr: false });

export function PaletteKey(props: Omit<PaletteProps, 'onClose'>) {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      if (chordOf(e) !== 'Mod+K') return;
      e.preventDefault();
      setOpen((now) => !now);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      <button
        type="button"
        className="plain small"
        onClick={() => setOpen(true)}
        aria-label="Go to or do, Ctrl K"
      >
        go to <kbd>Ctrl K</kbd>
      </button>
      {open && <Palette {...props} onClose={() => setOpen(false)} />}
    </>
  );
}
