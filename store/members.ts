/** People: the first program, sign-in and sessions, members and their roles. */
import { hash, verify } from '@node-rs/argon2';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { adaptProfile, LEVEL_PROFILES, type LevelKey, type ProfileChanges } from '../core/field/profile';
import { readRules } from '../core/read/staff-rules';
import { requireRole } from './access';
import { BookTerm, Member, Program, Season, Session, SignInAttempt, Team } from './entities';
import { Invalid, NotFound, SignInRefused } from './errors';
import { openEm, type Em } from './orm';
import type { Actor, MemberInfo, ProgramInfo, ProgramSettings, Role } from '../core/exchange/types';

const SESSION_HOURS = 14 * 24;
const ATTEMPTS = 5;
const ATTEMPT_WINDOW_MS = 15 * 60_000;
/** OWASP password storage: argon2id, 19 MiB, two passes, one lane. */
const ARGON = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;
export const LEAST_PASSWORD = 10;

const keyOf = (name: string): string => name.trim().toLowerCase();
const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex');

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

/** Whether this database holds the demo: only there may members sign in by a button. */
export async function isDemoDatabase(): Promise<boolean> {
  return (await (await openEm()).count(Program, { demo: true })) > 0;
}

/** The first visit to an empty database. Refused as soon as a program exists. */
export async function createFirstProgram(input: FirstProgram, now: Date): Promise<string> {
  if (input.password.length < LEAST_PASSWORD) throw new Invalid(`the password needs at least ${LEAST_PASSWORD} characters`);
  const em = await openEm();
  return em.transactional(async (tx) => {
    await tx.execute('lock table program in exclusive mode');
    if ((await tx.count(Program)) > 0) throw new Invalid('this database has a program already; sign in');
    const { memberId } = await insertProgram(tx, {
      name: input.program, level: input.level, season: input.season, team: { key: input.teamKey, name: input.teamName }, demo: false,
      settings: { week: null, opponent: null }, member: { name: input.memberName, passwordHash: await hash(input.password, ARGON), roles: ['keeper', 'coordinator'] },
    }, now);
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
  readonly member: { readonly name: string; readonly passwordHash: string | null; readonly roles: readonly Role[] };
}

export async function insertProgram(tx: Em, input: NewProgram, now: Date): Promise<{ programId: string; memberId: string }> {
  const programId = randomUUID();
  const memberId = randomUUID();
  tx.create(Program, { id: programId, name: input.name, level: input.level, season: input.season, team: input.team.key, demo: input.demo, bookName: DEFAULT_BOOK.name, bookLetters: [...DEFAULT_BOOK.letters], settings: input.settings, createdAt: now });
  await tx.flush();
  tx.create(Member, { id: memberId, program: programId, name: input.member.name, nameKey: keyOf(input.member.name), passwordHash: input.member.passwordHash, roles: [...input.member.roles], removedAt: null, createdAt: now });
  tx.create(Team, { id: randomUUID(), program: programId, key: input.team.key, name: input.team.name, nickname: null, place: null });
  tx.create(Season, { id: randomUUID(), program: programId, year: input.season });
  DEFAULT_BOOK.terms.forEach((t, position) => tx.create(BookTerm, { id: randomUUID(), program: programId, key: t.id, kind: t.kind, word: t.word, aliases: [...t.aliases], value: t.value ?? null, spots: t.spots ?? null, definition: t.definition ?? null, notes: null, position }));
  await tx.flush();
  return { programId, memberId };
}

async function openSession(em: Em, memberId: string, now: Date): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  em.create(Session, { tokenHash: tokenHash(token), member: memberId, createdAt: now, expiresAt: new Date(now.getTime() + SESSION_HOURS * 3_600_000) });
  await em.flush();
  return token;
}

/** Signs in by name and password; gives a session token. Five wrong attempts in fifteen minutes close the name. */
export async function signIn(name: string, password: string, now: Date): Promise<string> {
  const em = await openEm();
  const nameKey = keyOf(name).slice(0, 200);
  const since = new Date(now.getTime() - ATTEMPT_WINDOW_MS);
  if ((await em.count(SignInAttempt, { nameKey, at: { $gt: since } })) >= ATTEMPTS) throw new SignInRefused('too-many');
  // The attempt is written before the check, so that parallel guesses count too.
  const attempt = em.create(SignInAttempt, { id: randomUUID(), nameKey, at: now });
  await em.flush();
  const member = await em.findOne(Member, { nameKey, removedAt: null });
  const stored = member?.passwordHash ?? (await unusableHash());
  const right = await verify(stored, password.slice(0, 500));
  if (!right || !member || member.passwordHash === null) throw new SignInRefused('wrong');
  em.remove(attempt);
  await em.nativeDelete(SignInAttempt, { at: { $lt: since } });
  return openSession(em, member.id, now);
}

let unusable: Promise<string> | undefined;
/** A hash of nothing anybody knows: a missing name takes as long as a wrong password. */
const unusableHash = (): Promise<string> => (unusable ??= hash(randomBytes(24).toString('hex'), ARGON));

/** Signs in as a member of the demo by his button. Only in the demo database. */
export async function signInDemo(memberId: string, now: Date): Promise<string> {
  const em = await openEm();
  const member = await em.findOne(Member, { id: memberId, removedAt: null });
  const program = member && (await em.findOne(Program, { id: member.program }));
  if (!member || !program?.demo) throw new SignInRefused('wrong');
  return openSession(em, member.id, now);
}

export async function demoMembers(): Promise<{ id: string; name: string; roles: readonly string[] }[]> {
  const em = await openEm();
  const programs = await em.find(Program, { demo: true });
  const members = await em.find(Member, { program: { $in: programs.map((x) => x.id) }, removedAt: null }, { orderBy: { createdAt: 'asc', name: 'asc' } });
  return members.map((m) => ({ id: m.id, name: m.name, roles: m.roles }));
}

/** The member of a session token, or null when it is unknown or over. */
export async function actorOf(token: string | undefined, now: Date): Promise<Actor | null> {
  if (!token) return null;
  const em = await openEm();
  const session = await em.findOne(Session, { tokenHash: tokenHash(token), expiresAt: { $gt: now } });
  const member = session && (await em.findOne(Member, { id: session.member, removedAt: null }));
  return member ? { memberId: member.id, programId: member.program, name: member.name, roles: member.roles as Role[] } : null;
}

export async function signOut(token: string): Promise<void> {
  await (await openEm()).nativeDelete(Session, { tokenHash: tokenHash(token) });
}

export async function programOf(actor: Actor): Promise<ProgramInfo> {
  const program = await (await openEm()).findOne(Program, { id: actor.programId });
  if (!program) throw new NotFound('program');
  return { id: program.id, name: program.name, level: program.level, season: program.season, team: program.team, demo: program.demo, settings: program.settings };
}

export async function setWeek(actor: Actor, settings: ProgramSettings): Promise<void> {
  requireRole(actor, 'choosing the week’s opponent', 'coordinator', 'coach');
  const em = await openEm();
  const program = await em.findOneOrFail(Program, { id: actor.programId });
  if (settings.opponent !== null && !(await em.findOne(Team, { program: actor.programId, key: settings.opponent }))) throw new NotFound('team');
  program.settings = { ...program.settings, ...settings };
  await em.flush();
}

/** The staff's rules of counting; everything that depends on them is computed anew. */
export async function setRules(actor: Actor, value: unknown): Promise<void> {
  requireRole(actor, 'changing the staff’s rules', 'keeper', 'coordinator');
  const read = value === null ? null : readRules(value);
  if (read && !read.ok) throw new Invalid(read.remedy);
  const em = await openEm();
  const program = await em.findOneOrFail(Program, { id: actor.programId });
  program.settings = { ...program.settings, rules: read?.ok ? read.rules : null };
  await em.flush();
}

/** Changes of the level's profile: kickoffs, touchbacks, tries, hash, fouls. The rulebook governs. */
export async function setProfile(actor: Actor, changes: ProfileChanges | null): Promise<void> {
  requireRole(actor, 'changing the level', 'keeper');
  const em = await openEm();
  const program = await em.findOneOrFail(Program, { id: actor.programId });
  try {
    adaptProfile(LEVEL_PROFILES[program.level], program.season, changes);
  } catch (error) {
    throw new Invalid((error as Error).message);
  }
  program.settings = { ...program.settings, profile: changes };
  await em.flush();
}

export async function listMembers(actor: Actor): Promise<MemberInfo[]> {
  const members = await (await openEm()).find(Member, { program: actor.programId }, { orderBy: { name: 'asc' } });
  return members.map((m) => ({ id: m.id, name: m.name, roles: m.roles, removed: m.removedAt !== null }));
}

export async function addMember(actor: Actor, input: { readonly name: string; readonly password: string; readonly roles: readonly Role[] }, now: Date): Promise<void> {
  requireRole(actor, 'adding a member', 'keeper');
  if (input.password.length < LEAST_PASSWORD) throw new Invalid(`the password needs at least ${LEAST_PASSWORD} characters`);
  if (input.roles.length === 0) throw new Invalid('a member needs at least one role');
  const em = await openEm();
  if (await em.findOne(Member, { program: actor.programId, nameKey: keyOf(input.name) })) throw new Invalid(`${input.name.trim()} is a member already; choose another name`);
  em.create(Member, { id: randomUUID(), program: actor.programId, name: input.name.trim(), nameKey: keyOf(input.name), passwordHash: await hash(input.password, ARGON), roles: [...input.roles], removedAt: null, createdAt: now });
  await em.flush();
}

export async function removeMember(actor: Actor, memberId: string, now: Date): Promise<void> {
  requireRole(actor, 'removing a member', 'keeper');
  if (memberId === actor.memberId) throw new Invalid('you cannot remove yourself; another keeper can');
  const em = await openEm();
  const member = await em.findOne(Member, { id: memberId, program: actor.programId });
  if (!member) throw new NotFound('member');
  member.removedAt = now;
  await em.nativeDelete(Session, { member: memberId });
  await em.flush();
}
