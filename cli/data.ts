/** import, export, backup, restore: for the admin at the machine itself. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { LIMITS, pack, unpack, type NamedFile } from '../core/table';
import { makeBackup } from './backup';
import { restoreArchive } from './restore-archive';
import { openDatabase, type Mode, type OpenDatabase } from './database';
import { readFileOrSay, readOptions } from './options';
import { Plain } from './paths';
import type { Actor } from '../core/exchange/types';

async function withDatabase<T>(
  flags: ReadonlySet<string>,
  work: (open: OpenDatabase) => Promise<T>,
): Promise<T> {
  const mode: Mode = flags.has('demo') ? 'demo' : 'start';
  const open = await openDatabase(mode);
  try {
    return await work(open);
  } finally {
    await (await import('../store/orm')).closeOrm();
    open.leave();
  }
}

/** Whoever runs the command line owns the machine: he acts as the first admin. */
async function admin(): Promise<Actor> {
  const { openEm } = await import('../store/orm');
  const { Member } = await import('../store/entities');
  const member = (
    await (await openEm()).find(Member, { removedAt: null }, { orderBy: { createdAt: 'asc' } })
  ).find((m) => m.roles.includes('admin'));
  if (!member)
    throw new Plain('this database has no program yet; start the application and make one: ./vobrik start');
  return {
    memberId: member.id,
    programId: member.program,
    name: member.name,
    roles: ['admin', 'coordinator'],
  };
}

export async function importData(args: string[]): Promise<number> {
  const { values, flags, rest } = readOptions(
    args,
    ['home', 'away', 'date', 'team', 'sheet', 'map'],
    ['demo', 'replace-book', 'leave-book', 'without-refused'],
  );
  if (rest.length === 0) throw new Plain('name at least one file: ./vobrik import week.zip');
  if (values.home !== undefined || values.away !== undefined)
    return withDatabase(flags, () => importForeign(rest, values, flags));
  const { isWorkbook, readWorkbook } = await import('../store/xlsx');
  const files: NamedFile[] = [];
  for (const file of rest) {
    const bytes = new Uint8Array(readFileOrSay(file, 'a file'));
    const unpacked = isWorkbook(bytes)
      ? await readWorkbook(path.basename(file), bytes, LIMITS.unpackedBytes)
      : unpack(path.basename(file), bytes);
    if (!unpacked.ok) throw new Plain(unpacked.remedy);
    files.push(...unpacked.files);
  }
  return withDatabase(flags, async () => {
    const { importFiles } = await import('../store/imports');
    const outcome = await importFiles(await admin(), files, new Date(), {
      book: flags.has('replace-book') ? 'replace' : flags.has('leave-book') ? 'leave' : 'ask',
    });
    if (outcome.book) {
      const { added, changed, dropped, snaps } = outcome.book;
      process.stderr.write(
        `the file’s book differs: replacing yours would add ${added.length}, change ${changed.length} and drop ${dropped.length} words (the dropped ones stand ${snaps} times in logged snaps); say --replace-book or --leave-book. Nothing was imported\n`,
      );
      return 2;
    }
    if (!outcome.imported) {
      process.stderr.write(
        `${outcome.faults.slice(0, 40).join('\n')}\n${outcome.faults.length} fault${outcome.faults.length === 1 ? '' : 's'}; nothing was imported\n`,
      );
      return 2;
    }
    process.stdout.write(
      `imported ${
        Object.entries(outcome.counts)
          .map(([n, c]) => `${c} ${n}`)
          .join(', ') || 'the book'
      }\n`,
    );
    return 0;
  });
}

type ForeignOptions = Readonly<Partial<Record<'home' | 'away' | 'date' | 'team' | 'sheet' | 'map', string>>>;

/** Another staff's table as a game of two teams of the program; whole, or nothing. */
async function importForeign(
  files: readonly string[],
  options: ForeignOptions,
  flags: ReadonlySet<string>,
): Promise<number> {
  const { home, away, date, team = options.home } = options;
  if (files.length !== 1) throw new Plain('another staff’s tables are imported one at a time');
  if (home === undefined || away === undefined || home === away)
    throw new Plain('say who played: --home KEY --away KEY');
  if (team !== home && team !== away)
    throw new Plain(`--team ${team} plays in no game of ${away} at ${home}`);
  if (date !== undefined && !/^\d{4}-\d{2}-\d{2}$/.test(date))
    throw new Plain(`--date ${date} is no day such as 2026-10-31`);
  const [
    { foreignPackage, foreignSnaps },
    { readForeign },
    { loadBook },
    { listTeams },
    { importFiles },
    { programOf },
  ] = await Promise.all([
    import('../core/foreign'),
    import('./understand'),
    import('../store/book'),
    import('../store/games'),
    import('../store/imports'),
    import('../store/programs'),
  ]);
  const actor = await admin();
  const [book, teams, program] = await Promise.all([loadBook(actor), listTeams(actor), programOf(actor)]);
  for (const key of [home, away])
    if (!teams.some((t) => t.key === key))
      throw new Plain(`there is no team ${key}; there are ${teams.map((t) => t.key).join(', ')}`);
  const { understood, sheet } = await readForeign(
    files[0],
    { ...options, team, opponent: team === home ? away : home },
    book,
  );
  const game = {
    key: `${date ?? 'undated'}-${away}-${home}-${sheet.name}`
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .slice(0, 80),
    date: date ?? null,
    home,
    away,
    level: program.level,
    phase: 'regular',
    source: path.basename(files[0]!),
  };
  const all = foreignSnaps(understood, game);
  const snaps = all.filter((snap) => snap.offense !== null && snap.defense !== null);
  const lost = [
    ...understood.refused.map((r) => `row ${r.row}, ${r.column} “${r.value}”: ${r.reason}`),
    ...all.filter((s) => !snaps.includes(s)).map((s) => `row ${s.order}: it is not said who has the ball`),
  ];
  if (lost.length > 0 && !flags.has('without-refused')) {
    process.stderr.write(
      `${lost.slice(0, 40).join('\n')}\n${lost.length} row${lost.length === 1 ? '' : 's'} cannot be taken; mend them, or say --without-refused. Nothing was imported\n`,
    );
    return 2;
  }
  const outcome = await importFiles(actor, foreignPackage(snaps, game, []), new Date(), { book: 'leave' });
  if (!outcome.imported) throw new Plain(outcome.faults[0] ?? 'nothing was imported');
  process.stdout.write(
    `imported ${snaps.length} snaps as ${game.key}, without ${lost.length} refused rows\n`,
  );
  return 0;
}

export async function exportData(args: string[]): Promise<number> {
  const { flags, rest } = readOptions(args, [], ['demo']);
  const file = rest[0];
  if (!file) throw new Plain('name the file to write: ./vobrik export week.zip');
  return withDatabase(flags, async () => {
    const { exportFiles, exportWorkbook } = await import('../store/packages');
    if (/\.xlsx$/i.test(file)) {
      writeOrSay(file, await exportWorkbook(await admin(), new Date()));
      process.stdout.write(`wrote ${file}\n`);
      return 0;
    }
    const files = await exportFiles(await admin(), new Date());
    writeOrSay(file, pack(files));
    process.stdout.write(`wrote ${file}: ${files.map((f) => f.name).join(', ')}\n`);
    return 0;
  });
}

function writeOrSay(file: string, bytes: Uint8Array): void {
  try {
    writeFileSync(file, bytes);
  } catch (error) {
    throw new Plain(
      `${file}: cannot be written (${(error as { code?: string }).code ?? 'unknown'}); choose another place`,
    );
  }
}

export async function backup(args: string[]): Promise<number> {
  const { flags, rest } = readOptions(args, [], ['demo']);
  const file = rest[0];
  if (!file) throw new Plain('name the file to write: ./vobrik backup monday.vobrik');
  return withDatabase(flags, async (open) => {
    const made = await makeBackup(open, file);
    if (made.problem !== null)
      throw new Plain(`${file} was written, but a trial restore of it failed: ${made.problem}`);
    process.stdout.write(
      `wrote ${file}, ${(made.bytes / 1024).toFixed(0)} kB${open.cluster ? ', tried by a restore' : ''}\n`,
    );
    return 0;
  });
}

export async function restore(args: string[]): Promise<number> {
  const { flags, rest } = readOptions(args, [], ['demo']);
  // Looked at before anything is started.
  if (readFileOrSay(rest[0], 'the archive').subarray(0, 5).toString('latin1') !== 'PGDMP')
    throw new Plain(`${rest[0]} is not an archive that backup wrote`);
  return withDatabase(flags, async (open) => {
    const { snaps } = await restoreArchive(open, rest[0]!);
    process.stdout.write(
      `restored ${rest[0]}: ${snaps} snaps; everybody signs in again${open.cluster ? `. What was there before is kept as the database ${open.database}_before_restore until the next restore` : ''}\n`,
    );
    return 0;
  });
}
