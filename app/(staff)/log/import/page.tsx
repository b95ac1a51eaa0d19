import type { Metadata } from 'next';
import Link from 'next/link';
import { requireActor } from '@/app/lib/session';
import { ImportForm } from '@/ui/log/ImportForm';

export const metadata: Metadata = { title: 'Bring a file' };

export default async function Import() {
  await requireActor();
  return (
    <section className="card" style={{ maxWidth: 900 }}>
      <header><h1>Bring a file</h1><Link href="/log">back to the film</Link></header>
      <p>A data package (.zip), or its tables one by one: snaps.csv with games.csv, teams.csv, roster.csv, plays.csv, book.json. A lone snap table brings its game along.</p>
      <p className="quiet">Everything is read first. If one row has a fault nothing is imported, and each fault is named with row, column and remedy.</p>
      <ImportForm />
    </section>
  );
}
