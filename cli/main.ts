/** The command line: one thin door a command. Bad input: one line on standard error, exit 2, nothing written. */
import { Plain } from './paths';

const HELP = `usage: ./vobrik COMMAND

  demo [--port N] [--reset] [--dev]
                             the application with demo data, on loopback; sets up all that is missing;
                             --reset: as on its first day; --dev: pages from their sources, with hot reload
  start [--port N] [--backup-every 24h [--keep 14] [--backup-to FOLDER]]
                             the application with the staff's own data, with backups by the clock
  stop                       stops what demo and start left running
  test [unit|store|journeys] every check, or one kind
  parse [--book book.json] [--state "1&10 @o35l"] [--level LEVEL] "LINE"
                             the parsed snap and the next state, as JSON
  look [--hash L|M|R] [--book book.json] [--level LEVEL] "LINE"
                             where all twenty-two stand and what each does, as JSON
  check [--level LEVEL] snaps.csv
                             each contradiction in the arithmetic; exit 1 if any
  read snaps.csv --by down,play [--team KEY] [--side offense|defense] [--where "quarter=1|2,distance=7..10"]
       [--measure run,yards] [--level LEVEL] [--half-life GAMES] [--doubts whole|half|none]
                             the grouped table with n, rates and intervals, as JSON
  report FILE --team KEY --out FOLDER [--side offense|defense|kicking|returning|special|all|self] [--sections situation,third] [--paper letter|a4]
       [--breaks] [--level LEVEL] [--film eleven|seven|five] [--half-life GAMES] [--doubts whole|half|none]
                             the scouting report: report.pdf, players.pdf, report.xlsx, a CSV a table, report.json
  sheet FILE --team KEY --opponent KEY --out FOLDER [--side offense|defense] [--paper letter|a4|letter-wide|a4-wide|tabloid|a3]
        [--seed N] [--all-sections] [--level LEVEL]
                             a first draft of a call sheet with its wristband, or of a check table: sheet.json and PDF
  audit sheet.json [--film FILE] [--book book.json] [--level LEVEL]
                             what the sheet leaves open and gives away, as JSON; exit 1 if anything
  understand [--team KEY] [--opponent KEY] [--sheet NAME] [--map map.json] [--book book.json] [--out FOLDER] FILE
                             somebody else's table (.csv, .tsv, .xlsx) as it is read, as JSON; nothing is written
  import [--demo] [--replace-book|--leave-book] FILE...
                             data packages (zip, csv, book.json) into the database
  import [--demo] --home KEY --away KEY [--date DAY] [--team KEY] [--sheet NAME] [--map map.json] [--without-refused] FILE
                             another staff's table as a game of two teams of the program
  export [--demo] FILE       the whole program as a data package
  backup [--demo] FILE       everything, as one archive
  restore [--demo] FILE      everything back from an archive
  bench [--no-browser] [--long]
                             the benchmarks, as a table

LEVEL is high_school, college (default) or professional. Docs: docs/command-line.md`;

type Command = (args: string[]) => Promise<number>;
const COMMANDS: Readonly<Record<string, () => Promise<Command>>> = {
  demo: async () => (await import('./serve')).demo,
  start: async () => (await import('./serve')).start,
  stop: async () => (await import('./serve')).stop,
  test: async () => (await import('./test')).test,
  parse: async () => (await import('./tables')).parse,
  look: async () => (await import('./look')).look,
  check: async () => (await import('./tables')).check,
  read: async () => (await import('./tables')).read,
  report: async () => (await import('./report')).report,
  sheet: async () => (await import('./sheet')).sheet,
  audit: async () => (await import('./audit-sheet')).audit,
  understand: async () => (await import('./understand')).understandFile,
  import: async () => (await import('./data')).importData,
  export: async () => (await import('./data')).exportData,
  backup: async () => (await import('./data')).backup,
  restore: async () => (await import('./data')).restore,
  bench: async () => (await import('../bench/run')).bench,
};

const [name, ...args] = process.argv.slice(2);
if (name === undefined || name === '--help' || name === 'help' || args.includes('--help')) {
  process.stdout.write(`${HELP}\n`);
  process.exit(name === undefined ? 2 : 0);
}
const load = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
if (!load) {
  process.stderr.write(`there is no command ${name}; ./vobrik --help lists them\n`);
  process.exit(2);
}
try {
  process.exitCode = await (await load())(args);
} catch (error) {
  // A full disk is said in words wherever it is met.
  if ((error as { code?: string }).code === 'ENOSPC' || (error as { code?: string }).code === '53100') {
    process.stderr.write('the disk is full; free some space and try again\n');
    process.exit(2);
  }
  if (!(error instanceof Plain)) {
    // A database that went away in the middle of a start is no fault of the program.
    if (!(await import('../store/errors')).isStoreDown(error)) throw error;
    process.stderr.write('the database went away meanwhile; try again\n');
    process.exit(2);
  }
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 2;
}
