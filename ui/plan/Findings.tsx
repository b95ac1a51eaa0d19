/** What was noted in Read, beside what it concerns: its name, how many of its snaps lie here, its reel and its board. */
import Link from 'next/link';
import type { Finding, PlacedFinding } from '@/core/plan';
import { plural } from '@/core/rules/plural';

export interface FindingsProps {
  /** What they are noted for. */
  readonly label: string;
  readonly findings: readonly (PlacedFinding | { readonly finding: Finding; readonly inside: null })[];
}

export function Findings({ label, findings }: FindingsProps) {
  if (findings.length === 0) return null;
  return (
    <ul className="plainlist small findings" aria-label={`Noted in Read, ${label}`}>
      {findings.map(({ finding: { id, name, sentence, source, by, rows }, inside }) => (
        <li key={id}>
          <Link href={`/read/reels/${id}`}>{name}</Link>
          {sentence !== '' && sentence !== name && <> · {sentence}</>} ·{' '}
          {inside === null || inside === rows.length
            ? plural(rows.length, 'snap')
            : `${inside} of ${plural(rows.length, 'snap')} here`}{' '}
          · {by}
          {source !== null && (
            <>
              {' '}
              · <Link href={`/read?${source}`}>its board</Link>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}

/** Those of no section, or of a check table as a whole. */
export function NotedCard({
  about,
  findings,
}: {
  readonly about: string;
  readonly findings: readonly Finding[];
}) {
  if (findings.length === 0) return null;
  return (
    <section className="card" aria-label="Noted in Read">
      <header>
        <h2>Noted in Read of the {about}</h2>
      </header>
      <Findings label={about} findings={findings.map((finding) => ({ finding, inside: null }))} />
    </section>
  );
}
