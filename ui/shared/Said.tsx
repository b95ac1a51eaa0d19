'use client';
/** What came of something that was done, until it is closed. */
import type { ReactNode } from 'react';

interface SaidProps {
  readonly ok: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

export function Said({ ok, onClose, children }: SaidProps) {
  return (
    <div className={`card said${ok ? '' : ' flag'}`} role={ok ? 'status' : 'alert'}>
      <span>{children}</span>
      <button type="button" className="plain" onClick={onClose} aria-label="Close">
        ×
      </button>
    </div>
  );
}
