'use client';
/** Ending one's own blind charting. */
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { progressOf, type ChartPass } from '@/core/charting';
import type { WalkedSnap } from '@/core/rules';
import { useWaiting } from '@/client/SyncProvider';

interface HandInProps {
  readonly game: string;
  readonly passes: readonly ChartPass[];
  readonly rows: readonly WalkedSnap[];
  readonly handIn: (game: string) => Promise<string | null>;
}

export function HandIn({ game, passes, rows, handIn }: HandInProps) {
  const router = useRouter();
  const [asked, setAsked] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const waiting = useWaiting();
  const done = async (): Promise<void> => {
    const why = await handIn(game).catch(() => 'The server does not answer; nothing was changed.');
    setProblem(why);
    if (why === null) router.push(`/log/${encodeURIComponent(game)}/agree`);
  };
  return (
    <section className="card" aria-label="Hand in">
      <h2>Your own charting</h2>
      <table className="rows tight">
        <tbody>
          {passes.map((pass) => {
            const { done: n, of } = progressOf(pass, rows);
            return (
              <tr key={pass.id}>
                <td>{pass.name}</td>
                <td className="n">
                  {n} of {of}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="small quiet">
        The situations are those that were logged; everything else is yours. Handed in, it is compared and not
        changed any more; what you left blank is left out.
      </p>
      {problem && (
        <p className="flagtext small" role="alert">
          {problem}
        </p>
      )}
      {asked ? (
        <>
          <Button disabled={waiting > 0} onClick={() => void done()}>
            {waiting > 0 ? `${waiting} still on the way` : 'Hand it in for good'}
          </Button>
          <Button onClick={() => setAsked(false)}>Go on charting</Button>
        </>
      ) : (
        <Button onClick={() => setAsked(true)}>Hand in</Button>
      )}
    </section>
  );
}
