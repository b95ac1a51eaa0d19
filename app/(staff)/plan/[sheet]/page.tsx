import { practiceOf, staffPrintsOf } from '@/core/exchange/settings';
import type { Metadata } from 'next';
import { profilesFor } from '@/core/field';
import { pageFor } from '@/app/lib/refusable';
import { may } from '@/core/staff';
import { sheetScope } from '@/core/sync';
import { availabilityOf } from '@/store/availability';
import { bookTextFor } from '@/store/book';
import { listTeams } from '@/store/games';
import { programOf } from '@/store/programs';
import { listPlays, loadSheet } from '@/store/plans';
import { reelsAbout } from '@/store/reels';
import { rosterOf } from '@/store/rosters';
import { pull } from '@/store/sync';
import { PlanPage } from '@/ui/plan/PlanScreen';
import {
  bringVersion,
  copyOf,
  earlierOf,
  keepVersion,
  mixOf,
  savePrints,
  saveSections,
  versionsOf,
  weighTeams,
} from '../actions';

export const metadata: Metadata = { title: 'Plan' };
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ sheet: string }>;
}

export default pageFor('sheet.read', async function PlanSheet(actor, { params }: Props) {
  const key = (await params).sheet;
  const sheet = await loadSheet(actor, key);
  const [rows, plays, program, teams, book, noted] = await Promise.all([
    pull(actor, sheetScope(key), null, null),
    listPlays(actor),
    programOf(actor),
    listTeams(actor),
    bookTextFor(actor),
    may(actor.roles, 'reel.save') ? reelsAbout(actor, sheet.opponent) : [],
  ]);
  const { week, opponent } = program.settings;
  const maySeeWho = sheet.side === 'offense' && may(actor.roles, 'availability.read');
  const [roster, availability] = maySeeWho
    ? await Promise.all([rosterOf(actor, program.team), availabilityOf(actor)])
    : [[], null];
  const name = (k: string) => teams.find((t) => t.key === k)?.name ?? k;
  const able = {
    draft: may(actor.roles, 'sheet.draft'),
    locked: may(actor.roles, 'sheet.draft-locked'),
    lock: may(actor.roles, 'sheet.lock'),
    remark: may(actor.roles, 'sheet.remark'),
  };
  return (
    <PlanPage
      sheet={sheet}
      rows={rows}
      plays={plays}
      team={program.team}
      teamName={name(program.team)}
      opponentName={name(sheet.opponent)}
      bookText={book}
      level={program.level}
      profiles={profilesFor(program.level, program.season, program.settings.profile ?? null)}
      practice={practiceOf(program.settings)}
      figures={staffPrintsOf(program.settings)}
      saveFigures={able.draft ? savePrints : null}
      noted={noted}
      bodies={
        availability && {
          roster,
          // Of another week nothing is known.
          said: week !== null && opponent === sheet.opponent ? availability.said : [],
        }
      }
      able={able}
      copy={copyOf.bind(null, key)}
      saveTemplate={saveSections}
      mixOf={mixOf}
      weighTeams={weighTeams}
      earlier={earlierOf.bind(null, key)}
      versions={{
        list: versionsOf.bind(null, key),
        save: keepVersion.bind(null, key),
        restore: bringVersion.bind(null, key),
      }}
    />
  );
});
