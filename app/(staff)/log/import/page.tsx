import type { Metadata } from 'next';
import Link from 'next/link';
import { pageFor } from '@/app/lib/refusable';
import { may } from '@/core/staff';
import { bookTextFor } from '@/store/book';
import { listTeams, profilesOf } from '@/store/games';
import { programOf } from '@/store/programs';
import { listReadings } from '@/store/readings';
import { ImportForm } from '@/ui/log/ImportForm';
import { keepReading } from './actions';

export const metadata: Metadata = { title: 'Import a file' };

export default pageFor('program.import', async function Import(actor) {
  const [bookText, teams, readings, profiles, program] = await Promise.all([
    bookTextFor(actor),
    listTeams(actor),
    listReadings(actor),
    profilesOf(actor),
    programOf(actor),
  ]);
  return (
    <section className="card">
      <header>
        <h1>Import a file</h1>
        <Link href="/log">back to the film</Link>
      </header>
      <ImportForm
        mayReplace={may(actor.roles, 'book.replace')}
        bookText={bookText}
        teams={teams}
        readings={readings}
        level={program.level}
        profile={profiles[program.level]}
        save={keepReading}
      >
        <p>
          A data package (.zip), a workbook (.xlsx) with a sheet a table, or the tables one by one: snaps.csv
          with games.csv, teams.csv, roster.csv, plays.csv, book.json. A lone snap table brings its game
          along. Any other table of snaps (.csv, .tsv, .xlsx), whatever its columns and words: what it says is
          proposed, shown on its own rows and corrected by you before anything is written.
        </p>
        <p className="quiet">
          Everything is read first. If one row has a fault nothing is imported, and each fault is named with
          row, column and remedy.
        </p>
      </ImportForm>
    </section>
  );
});
