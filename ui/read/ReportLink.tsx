'use client';
/** From a view of Read to its report, with the same film and filters, and to the reels that are kept. */
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';

export default function ReportLink() {
  const params = new URLSearchParams(useSearchParams());
  for (const name of ['reel', 'board', 'at']) params.delete(name);
  return (
    <>
      <Link className="door" href={`/read/report?${params.toString()}`}>
        report
      </Link>{' '}
      ·{' '}
      <Link className="door" href="/read/reels">
        reels
      </Link>
    </>
  );
}
