'use client';
/** The snaps of the view as files: the same filter, the same cell. */
import { useSearchParams } from 'next/navigation';

const FORMS = [
  ['csv', 'CSV'],
  ['xlsx', 'XLSX'],
  ['jsonl', 'JSON Lines'],
  ['zip', 'data package'],
] as const;

export default function Download() {
  const params = useSearchParams();
  const address = (as: string): string => {
    const all = new URLSearchParams(params);
    all.delete('reel');
    all.set('as', as);
    return `/api/export/snaps?${all.toString()}`;
  };
  return (
    <>
      these snaps as{' '}
      {FORMS.map(([as, words], i) => (
        <span key={as}>
          {i > 0 ? ', ' : ''}
          <a className="door" href={address(as)}>
            {words}
          </a>
        </span>
      ))}
    </>
  );
}
