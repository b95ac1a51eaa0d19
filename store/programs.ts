/** Programs: the first one, its settings, counting rules and level. */
import 'server-only';
import { LockMode, type InferEntity } from '@mikro-orm/core';
import { hash } from '@node-rs/argon2';
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { adaptProfile, LEVEL_PROFILES, type LevelKey, type ProfileChanges } from '../core/field/profile';
import { viewsSchema } from '../core/read/schema';
import type { BoardSide } from '../core/read/sides';
import type { ChartPlan } from '../core/charting/plans';
import type { PracticeSettings } from '../core/plan/practice';
import { practiceOf } from '../core/exchange/settings';
import { practiceSchema, sectionsSchema as sheetSectionsSchema } from '../core/plan/schema';
import { readRules } from '../core/read/read-rules';
import { permit } from './access';
import { record } from './audit';
import { BookTerm } from './entities-football';
import { Member, Program, Season, Team } from './entities';
import { Invalid, NotFound } from './errors';
import { openEm, type Em } from './orm';
import { may, type Role } from '../core/staff';
import type { Actor, ProgramInfo, ProgramSettings } from '../core/exchange/types';
import { ARGON, LEAST_PASSWORD, keyOf, openSession } from './sessions';

export interface FirstProgram {
  readonly program: string;
  readonly level: LevelKey;
  readonly season: number;
  readonly teamKey: string;
  readonly teamName: string;
  readonly memberName: string;
  readonly password: string;
}

export async function programCount(): Promise<number> {
  return (await openEm()).count(Program);
}

/** The first visit to an empty database. Refused as soon as a program exists. */
export async function createFirstProgram(input: FirstProgram, now: Date): Promise<string> {
  if (input.password.length < LEAST_PASSWORD)
    throw new Invalid(`the password needs at least ${LEAST_PASSWORD} characters`);
  const em = await openEm();
  return em.transactional(async (tx) => {
    await tx.execute('lock table program in exclusive mode');
    if ((await tx.count(Program)) > 0) throw new Invalid('this database has a program already; sign in');
    const { memberId } = await insertProgram(
      tx,
      {
        name: input.program,
        level: input.level,
        season: input.season,
        team: { key: input.teamKey, name: input.teamName },
        demo: false,
        settings: { week: null, opponent: null },
        member: {
          name: input.memberName,
          passwordHash: await hash(input.password, ARGON),
          roles: ['admin', 'coordinator'],
        },
      },
      now,
    );
    return openSession(tx, memberId, now);
  });
}

export interface NewProgram {
  readonly name: string;
  readonly level: LevelKey;
  readonly season: number;
  readonly team: { readonly key: string; readonly name: string };
  readonly demo: boolean;
  readonly settings: ProgramSettings;
  readonly member: {
    readonly name: string;
    readonly passwordHash: string | null;
    readonly roles: readonly Role[];
  };
}

export async function insertProgram(
  tx: Em,
  input: NewProgram,
  now: Date,
): Promise<{ programId: string; memberId: string }> {
  const programId = randomUUID();
  const memberId = randomUUID();
  tx.create(Program, {
    id: programId,
    name: input.name,
    level: input.level,
    season: input.season,
    team: input.team.key,
    demo: input.demo,
    bookName: DEFAULT_BOOK.name,
    bookLetters: [...DEFAULT_BOOK.letters],
    settings: input.settings,
    createdAt: now,
  });
  await tx.flush();
  tx.create(Member, {
    id: memberId,
    program: programId,
    name: input.member.name,
    nameKey: keyOf(input.member.name),
    passwordHash: input.member.passwordHash,
    roles: [...input.member.roles],
    removedAt: null,
    createdAt: now,
  });
  tx.create(Team, {
    id: randomUUID(),
    program: programId,
    key: input.team.key,
    name: input.team.name,
    nickname: null,
    place: null,
  });
  tx.create(Season, { id: randomUUID(), program: programId, year: input.season });
  DEFAULT_BOOK.terms.forEach((term, position) =>
    tx.create(BookTerm, {
      id: randomUUID(),
      program: programId,
      key: term.id,
      kind: term.kind,
      word: term.word,
      aliases: [...term.aliases],
      value: term.value ?? null,
      spots: term.spots ?? null,
      definition: term.definition ?? null,
      notes: null,
      position,
      provenance: {},
    }),
  );
  await tx.flush();
  return { programId, memberId };
}

export async function programOf(actor: Actor): Promise<ProgramInfo> {
  const program = await (await openEm()).findOne(Program, { id: actor.programId });
  if (!program) throw new NotFound('program');
  return {
    id: program.id,
    name: program.name,
    level: program.level,
    season: program.season,
    team: program.team,
    demo: program.demo,
    settings: may(actor.roles, 'program.read') ? program.settings : { week: null, opponent: null },
  };
}

export async function setWeek(
  actor: Actor,
  settings: Pick<ProgramSettings, 'week' | 'opponent'>,
): Promise<void> {
  permit(actor, 'week.set');
  await changeSettings(actor, async (tx) => {
    if (
      settings.opponent !== null &&
      !(await tx.findOne(Team, { program: actor.programId, key: settings.opponent }))
    )
      throw new NotFound('team');
    return { week: settings.week, opponent: settings.opponent };
  });
}

/** Changes some settings under the row's lock: two members who change different ones both land. */
export async function changeSettings(
  actor: Actor,
  change: (tx: Em, program: InferEntity<typeof Program>) => Promise<Partial<ProgramSettings>>,
): Promise<void> {
  await (
    await openEm()
  ).transactional(async (tx) => {
    const program = (await tx.findOneOrFail(
      Program,
      { id: actor.programId },
      { lockMode: LockMode.PESSIMISTIC_WRITE },
    )) as InferEntity<typeof Program>;
    program.settings = { ...program.settings, ...(await change(tx, program)) };
    await tx.flush();
  });
}

/** The staff's counting rules; everything that depends on them is computed anew. */
export async function setRules(actor: Actor, value: unknown, now: Date): Promise<void> {
  permit(actor, 'rules.set');
  const read = value === null ? null : readRules(value);
  if (read && !read.ok) throw new Invalid(read.remedy);
  await changeSettings(actor, async (tx) => {
    await record(
      tx,
      actor,
      'rules.set',
      read ? 'the counting rules changed' : 'the counting rules reset to the defaults',
      now,
    );
    return { rules: read?.ok ? read.rules : null };
  });
}

/** The charting plan for a team, or for every other (*); null: the default again. */
export async function setChartingPlan(actor: Actor, team: string, plan: ChartPlan | null): Promise<void> {
  permit(actor, 'charting.plan');
  await changeSettings(actor, async (tx, program) => {
    if (team !== '*' && !(await tx.findOne(Team, { program: actor.programId, key: team })))
      throw new NotFound('team');
    const { [team]: _, ...others } = (program.settings.charting ?? {}) as Record<string, ChartPlan>;
    return { charting: plan === null ? others : { ...others, [team]: plan } };
  });
}

/** A view of Read under a name, for the whole staff; a name again is its new address, null takes it away. */
export async function setView(actor: Actor, name: string, query: string | null): Promise<void> {
  permit(actor, 'view.save');
  await changeSettings(actor, async (_tx, program) => {
    const others = (viewsSchema.safeParse(program.settings.views).data ?? []).filter((v) => v.name !== name);
    const views = viewsSchema.safeParse(query === null ? others : [...others, { name, query }]);
    if (!views.success) throw new Invalid(views.error.issues[0]!.message);
    return { views: views.data };
  });
}

/** Sections that new call sheets begin with; null: the usual ones again. */
export async function setSections(actor: Actor, value: unknown): Promise<void> {
  permit(actor, 'sheet.draft');
  const read = sheetSectionsSchema.nullable().safeParse(value);
  if (!read.success) throw new Invalid(read.error.issues[0]!.message.replace(/\.$/, ''));
  await changeSettings(actor, async () => ({ sections: read.data }));
}

/** The staff's week of practice. `before`: as it stood where it was changed; another member's is not written over. */
export async function setPractice(
  actor: Actor,
  week: PracticeSettings,
  before: PracticeSettings,
): Promise<void> {
  permit(actor, 'sheet.draft');
  const read = practiceSchema.safeParse(week);
  if (!read.success) throw new Invalid(read.error.issues[0]!.message.replace(/\.$/, ''));
  await changeSettings(actor, async (_tx, program) => {
    return isNew(practiceOf(program.settings), read.data, before, 'the week') ? { practice: read.data } : {};
  });
}

/** False: sent twice, because the first answer was lost. What another member saved meanwhile is not written over. */
export function isNew<T>(stands: T, to: T, before: T, what: string): boolean {
  if (isDeepStrictEqual(stands, to)) return false;
  if (isDeepStrictEqual(stands, before)) return true;
  throw new Invalid(
    `Another member saved ${what} meanwhile. What you changed stands here; load the page again to see theirs`,
  );
}

/** The sections of a report on one side of the ball; null: the usual ones again. */
export async function setTemplate(
  actor: Actor,
  side: BoardSide,
  sections: readonly string[] | null,
): Promise<void> {
  permit(actor, 'report.template');
  await changeSettings(actor, async (_tx, program) => {
    const { [side]: _, ...others } = (program.settings.reports ?? {}) as Record<string, readonly string[]>;
    return { reports: sections === null ? others : { ...others, [side]: sections } };
  });
}

/** Changes of the level's profile: kickoffs, touchbacks, tries, hash, fouls. The rulebook governs. */
export async function setProfile(actor: Actor, changes: ProfileChanges | null, now: Date): Promise<void> {
  permit(actor, 'level.set');
  await changeSettings(actor, async (tx, program) => {
    try {
      adaptProfile(LEVEL_PROFILES[program.level], program.season, changes);
    } catch (error) {
      throw new Invalid((error as Error).message);
    }
    await record(
      tx,
      actor,
      'level.set',
      changes ? 'the level changed' : 'the level reset to the defaults',
      now,
    );
    return { profile: changes };
  });
}
