'use client';
/** What can be pressed here, below the snap line. */
import Link from 'next/link';
import { LOG_COMMANDS } from '@/core/log';
import { chordWords } from '../shared/keys';

export function HintLine({ status, passes }: { readonly status: string; readonly passes: string }) {
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
      <Link href={passes}>charting passes</Link>
    </p>
  );
}
