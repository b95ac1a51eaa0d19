'use client';
/** What can be pressed here, below the snap line. */
import { LOG_COMMANDS } from '@/core/log';
import { chordWords } from '../shared/keys';

export function HintLine({ status }: { readonly status: string }) {
  return (
    <p className="small quiet hints">
      <span role="status" data-testid="said">
        {status}
      </span>
      {LOG_COMMANDS.filter((c) => c.hint).map((command) => (
        <span key={command.id}>
          <kbd>{chordWords(command.keys[0]!)}</kbd> {command.label}
        </span>
      ))}
    </p>
  );
}
