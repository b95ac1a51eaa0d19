import type { Metadata } from 'next';
import Link from 'next/link';
import { pageFor } from '@/app/lib/refusable';
import { may } from '@/core/staff';
import { ImportForm } from '@/ui/log/ImportForm';

export const metadata: Metadata = { title: 'Import a file' };

export default pageFor('program.import', async function Import(actor) {
  return (
    <section className="card" style={{ maxWidth: 900 }}>
      <header>
        <h1>Import a file</h1>
        <Link href="/log">back to the film</Link>
      </header>
      <p>
        A data package (.zip), a workbook (.xlsx) with a sheet a table, or the tables one by one: snaps.csv
        with games.csv, teams.csv, roster.csv, plays.csv, book.json. A lone snap table brings its game along.
      </p>
      <p className="quiet">
        Everything is read first. If one row has a fault nothing is imported, and each fault is named with
        row, column and remedy.
      </p>
      <ImportForm mayReplace={may(actor.roles, 'book.replace')} />
    </section>
  );
});
