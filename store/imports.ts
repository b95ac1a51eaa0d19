/** Data packages in: everything is read first, then written whole or not at all. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import { readBook } from '../core/book/book-json';
import type { Book } from '../core/book/term';
import { tradeSchema } from '../core/exchange/schema';
import { translateTerms, type Translation } from '../core/exchange/trade';
import { readProgram } from '../core/exchange/program-json';
import { sameValue } from '../core/snap/fields';
import { faultSentence, readPackage, type NamedFile, type TableFault } from '../core/table';
import { may, PERMISSIONS, rolesWords } from '../core/staff';
import { permit } from './access';
import { record } from './audit';
import { insertTerm, loadBook } from './book';
import { previewReplace, replaceBook, sameBook } from './book-import';
import { Game, Player, Program, Team } from './entities';
import { PlayRow } from './entities-football';
import { openEm } from './orm';
import { touchScope } from './sync/scope';
import { BOOK_SCOPE } from '../core/sync';
import type { Actor, BookChoice, ImportOutcome, ProgramSettings } from '../core/exchange/types';
import { settingsOf } from '../core/exchange/settings';
import { clashes, playerFaults, roleFaults } from './import-checks';
import { insertTables } from './import-rows';
import type { ImportStep } from './import-snaps';

export interface ImportOptions {
  readonly book?: BookChoice;
  readonly progress?: (step: ImportStep) => void;
}

/** Imports files whole or not at all. Games already in the program are refused by name. One import a program at a time. */
export async function importFiles(
  actor: Actor,
  files: readonly NamedFile[],
  now: Date,
  options: ImportOptions = {},
): Promise<ImportOutcome> {
  permit(actor, 'program.import');
  const progress = options.progress ?? (() => undefined);
  const em = await openEm();
  return em.transactional(async (tx): Promise<ImportOutcome> => {
    // A lock of imports only: the program's row is not held, so members go on saving meanwhile.
    await tx.execute('select pg_advisory_xact_lock(hashtext(?))', [`vobrik import ${actor.programId}`]);
    const program = await tx.findOneOrFail(Program, { id: actor.programId });
    const where = { program: actor.programId };
    const teams = await tx.find(Team, where);
    const known = {
      teams: new Set(teams.map((t) => t.key)),
      games: new Set((await tx.find(Game, where)).map((g) => g.key)),
      plays: new Set((await tx.find(PlayRow, where)).map((x) => x.key)),
    };
    const read = readPackage(files, known, (what) => progress({ step: 'reading', what }));
    progress({ step: 'checking', what: 'references and roles' });
    const details = [...read.faults];
    const fault = (
      file: string,
      remedy: string,
      code: TableFault['code'] = 'value',
      column: string | null = null,
      value = '',
    ) => details.push({ file, row: null, column, value, code, remedy });
    let book: Book | null = null;
    if (read.bookText !== null) {
      const readIt = readBook(read.bookText);
      if (!readIt.ok) fault('book.json', readIt.remedy.replace(/^book\.json,? ?/, ''));
      else if (!sameBook(await loadBook(actor, tx), readIt.book)) book = readIt.book;
    }
    let { tables } = read;
    let translation: Translation | null = null;
    if (read.tradeText !== null) {
      const trade = tradeOf(read.tradeText);
      if (trade === null)
        fault('trade.json', 'cannot be read; ask the other staff to export the games again');
      else {
        const readIt = read.bookText === null ? null : readBook(read.bookText);
        const theirs = readIt?.ok ? readIt.book : { name: trade.from, letters: [], terms: [] };
        translation = translateTerms(tables, theirs, await loadBook(actor, tx), trade.from);
        ({ tables } = translation);
        // Their words are read as ours; the book is never replaced by a trade.
        book = null;
        if (translation.added.length > 0 && !may(actor.roles, 'term.add'))
          fault('book.json', `holds new terms, and ${PERMISSIONS['term.add'].what} is for others`, 'role');
      }
    }
    let settings: ProgramSettings | null = null;
    if (read.programText !== null) {
      const readIt = readProgram(read.programText);
      const wanted = readIt.ok ? settingsOf(readIt.program, program.level, program.season) : readIt.remedy;
      if (typeof wanted === 'string') fault('program.json', wanted);
      else if (!sameValue(plainSettings(wanted), plainSettings(program.settings))) settings = wanted;
    }
    details.push(...roleFaults(actor, tables, teams, settings !== null, program.settings, settings));
    if (book && options.book !== 'leave') {
      if (book.terms.length === 0)
        fault('book.json', 'is empty; an empty book would leave every logged word without a meaning');
      else if (!may(actor.roles, 'book.replace'))
        fault(
          'book.json',
          `differs from the program’s book, and ${PERMISSIONS['book.replace'].what} is for ${rolesWords(PERMISSIONS['book.replace'].roles)}; leave it out`,
          'role',
        );
    }
    if (
      settings?.opponent &&
      !known.teams.has(settings.opponent) &&
      !tables.teams.some((t) => t.team === settings?.opponent)
    )
      fault(
        'program.json',
        'the opponent is no team of the package',
        'unknown-ref',
        'opponent',
        settings.opponent,
      );
    details.push(
      ...(await clashes(tx, actor, tables)),
      ...playerFaults(tables, new Set((await tx.find(Player, where)).map((p) => p.key))),
    );
    const counts = Object.fromEntries(
      Object.entries(tables)
        .filter(([, rows]) => rows.length > 0)
        .map(([name, rows]) => [name, rows.length]),
    );
    if (
      details.length === 0 &&
      Object.keys(counts).length === 0 &&
      read.bookText === null &&
      read.programText === null
    )
      fault(files[0]?.name ?? 'file', 'holds nothing to import', 'no-rows');
    if (details.length > 0)
      return { imported: false, faults: details.map(faultSentence), details, counts, book: null };
    if (book && (options.book ?? 'ask') === 'ask')
      return {
        imported: false,
        faults: [],
        details: [],
        counts,
        book: await previewReplace(actor, book, tx),
      };
    if (options.book === 'leave') book = null;
    await insertTables(tx, actor, program.level, program.season, tables, now, progress);
    if (translation && translation.added.length > 0) {
      const at = (await loadBook(actor, tx)).terms.length;
      translation.added.forEach((term, i) =>
        insertTerm(tx, actor, { ...term, id: `${term.kind}-${randomUUID()}`, notes: null }, at + i),
      );
      await tx.flush();
      await touchScope(tx, actor.programId, BOOK_SCOPE);
    }
    if (book) await replaceBook(tx, actor, book, now);
    if (settings) {
      program.settings = { ...program.settings, ...settings };
      await tx.flush();
    }
    await record(
      tx,
      actor,
      'program.import',
      Object.entries(counts)
        .map(([n, c]) => `${c} ${n}`)
        .join(', ') + (book ? ', the book replaced' : '') || 'book.json',
      now,
    );
    return {
      imported: true,
      faults: [],
      details: [],
      counts,
      book: null,
      ...(translation ? { terms: translation.terms } : {}),
    };
  });
}

/** Whose games a package brings; null: that cannot be read. */
function tradeOf(text: string): { readonly from: string } | null {
  try {
    return tradeSchema.parse(JSON.parse(text));
  } catch {
    return null;
  }
}

const plainSettings = (s: ProgramSettings) => [
  s.week,
  s.opponent,
  s.rules ?? null,
  s.profile ?? null,
  s.charting ?? null,
  s.reports ?? null,
  s.sections ?? null,
  s.practice ?? null,
  s.prints ?? null,
  s.views ?? null,
];
