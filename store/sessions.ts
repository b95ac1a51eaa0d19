/** Signing in and out, sessions and passwords, with the wait that guessing costs. */
import 'server-only';
import { hash, verify } from '@node-rs/argon2';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { permit } from './access';
import { record } from './audit';
import { Member, Program, Session, SignInAttempt } from './entities';
import { Invalid, SignInRefused } from './errors';
import { keptInProcess } from './process';
import { openEm, type Em } from './orm';
import { type Role } from '../core/staff';
import type { Actor, SessionInfo } from '../core/exchange/types';

const SESSION_HOURS = 14 * 24;

const ATTEMPT_WINDOW_MS = 15 * 60_000;

/** An attempt that would wait longer is told to come again; it was not checked and does not count. */
const LONGEST_WAIT_MS = 10_000;

/** Attempts without a wait: on one name from one address, from one address on any name, on one name from elsewhere. */
const FREE_BY_NAME = 5;

const FREE_BY_ADDRESS = 25;

const FREE_ELSEWHERE = 100;

const SEEN_EVERY_MS = 60_000;

/** OWASP password storage: argon2id, 19 MiB, two passes, one lane. */
export const ARGON = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export const LEAST_PASSWORD = 10;

export const keyOf = (name: string): string => name.trim().toLowerCase();

const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Whether this database holds the demo: only there may members sign in by a button. */
export async function isDemoDatabase(): Promise<boolean> {
  return (await (await openEm()).count(Program, { demo: true })) > 0;
}

export async function openSession(
  em: Em,
  memberId: string,
  now: Date,
  agent: string | null = null,
): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  em.create(Session, {
    tokenHash: tokenHash(token),
    member: memberId,
    createdAt: now,
    expiresAt: new Date(now.getTime() + SESSION_HOURS * 3_600_000),
    seenAt: now,
    agent: agent?.replace(/[\p{Cc}\p{Cs}]/gu, '').slice(0, 200) ?? null,
  });
  await em.flush();
  return token;
}

/** Where a sign-in comes from, and the way to wait. */
export interface Visitor {
  readonly address: string;
  readonly agent: string | null;
  readonly pause: (ms: number) => Promise<void>;
}

/** Milliseconds an attempt waits after the one before it once the free ones are used up: doubling. */
const backoff = (attempts: number, free: number): number => Math.min(30_000, 1000 * 2 ** (attempts - free));

/**
 * Counts an attempt before it is checked, under a lock, and gives how long it waits: by name from this address,
 * by address over all names (spraying), and, softly, by name over all addresses. Nobody is locked out: who waits
 * gets his turn, and a stranger elsewhere slows only himself. Attempts of a clock that was ahead do not count.
 */
async function takeTurn(
  nameKey: string,
  address: string,
  now: Date,
): Promise<{ readonly id: string; readonly wait: number }> {
  const em = await openEm();
  return em.transactional(async (tx) => {
    await tx.execute('select pg_advisory_xact_lock(hashtext(?))', ['vobrik sign-in']);
    const since = new Date(now.getTime() - ATTEMPT_WINDOW_MS);
    const horizon = new Date(now.getTime() + LONGEST_WAIT_MS);
    await tx.nativeDelete(SignInAttempt, { $or: [{ at: { $lt: since } }, { at: { $gt: horizon } }] });
    const past = await tx.find(
      SignInAttempt,
      { $or: [{ nameKey }, { address }] },
      { disableIdentityMap: true },
    );
    const slot = (mine: readonly { at: Date }[], free: number): number =>
      mine.length < free ? 0 : Math.max(...mine.map((a) => a.at.getTime())) + backoff(mine.length, free);
    const at = Math.max(
      now.getTime(),
      slot(
        past.filter((a) => a.nameKey === nameKey && a.address === address),
        FREE_BY_NAME,
      ),
      slot(
        past.filter((a) => a.address === address),
        FREE_BY_ADDRESS,
      ),
      slot(
        past.filter((a) => a.nameKey === nameKey && a.address !== address),
        FREE_ELSEWHERE,
      ),
    );
    const wait = at - now.getTime();
    if (wait > LONGEST_WAIT_MS)
      throw new SignInRefused('too-many', Math.ceil((wait - LONGEST_WAIT_MS) / 1000) + 1);
    const id = randomUUID();
    await tx.insert(SignInAttempt, { id, nameKey, address, at: new Date(at) });
    return { id, wait };
  });
}

/** Signs in by name and password; gives a session token. */
export async function signIn(name: string, password: string, visitor: Visitor, now: Date): Promise<string> {
  const nameKey = keyOf(name).slice(0, 200);
  if (/[\p{Cc}\p{Cs}]/u.test(nameKey)) throw new SignInRefused('wrong');
  const address = visitor.address.slice(0, 100);
  const { wait } = await takeTurn(nameKey, address, now);
  if (wait > 0) await visitor.pause(wait);
  const em = await openEm();
  const member = await em.findOne(Member, { nameKey, removedAt: null });
  const stored = member?.passwordHash ?? (await unusableHash());
  const right = await verify(stored, password.slice(0, 500));
  if (!right || !member || member.passwordHash === null) throw new SignInRefused('wrong');
  return em.transactional(async (tx) => {
    await tx.nativeDelete(SignInAttempt, { nameKey, address });
    await record(
      tx,
      { memberId: member.id, programId: member.program, name: member.name, roles: [] },
      'session.sign-in',
      `from ${address}`,
      now,
    );
    return openSession(tx, member.id, now, visitor.agent);
  });
}

/** A hash of nothing anybody knows: a missing name takes as long as a wrong password. */
const unusableHash = (): Promise<string> =>
  keptInProcess('unusable hash', () => hash(randomBytes(24).toString('hex'), ARGON));

/** Signs in as a member of the demo by his button. Only in the demo database. */
export async function signInDemo(memberId: string, now: Date, agent: string | null = null): Promise<string> {
  const em = await openEm();
  const member = /^[0-9a-f-]{36}$/i.test(memberId)
    ? await em.findOne(Member, { id: memberId, removedAt: null })
    : null;
  const program = member && (await em.findOne(Program, { id: member.program }));
  if (!member || !program?.demo) throw new SignInRefused('wrong');
  return openSession(em, member.id, now, agent);
}

export async function demoMembers(): Promise<{ id: string; name: string; roles: readonly string[] }[]> {
  const em = await openEm();
  const programs = await em.find(Program, { demo: true });
  const members = await em.find(
    Member,
    { program: { $in: programs.map((x) => x.id) }, removedAt: null },
    { orderBy: { createdAt: 'asc', name: 'asc' } },
  );
  return members.map((m) => ({ id: m.id, name: m.name, roles: m.roles }));
}

/** The member of a session token, or null when it is unknown or over. */
export async function actorOf(token: string | undefined, now: Date): Promise<Actor | null> {
  if (!token) return null;
  const em = await openEm();
  const [found] = (await em.execute(
    `select m.id, m.program_id as program, m.name, m.roles, s.seen_at as seen from session s
     join member m on m.id = s.member_id and m.removed_at is null
     where s.token_hash = ? and s.expires_at > ?`,
    [tokenHash(token), now],
  )) as { id: string; program: string; name: string; roles: Role[]; seen: Date | string | null }[];
  if (!found) return null;
  const { id, program, name, roles, seen } = found;
  if (seen === null || Math.abs(now.getTime() - new Date(seen).getTime()) > SEEN_EVERY_MS)
    await em.nativeUpdate(Session, { tokenHash: tokenHash(token) }, { seenAt: now });
  return { memberId: id, programId: program, name, roles };
}

export async function signOut(token: string): Promise<void> {
  await (await openEm()).nativeDelete(Session, { tokenHash: tokenHash(token) });
}

/** The member's own sessions, newest first. The id is no secret: it does not sign anybody in. */
export async function listSessions(
  actor: Actor,
  token: string | undefined,
  now: Date,
): Promise<SessionInfo[]> {
  permit(actor, 'session.own');
  const rows = await (
    await openEm()
  ).find(Session, { member: actor.memberId, expiresAt: { $gt: now } }, { orderBy: { createdAt: 'desc' } });
  const mine = token ? tokenHash(token) : '';
  return rows.map((loaded) => ({
    id: loaded.tokenHash.slice(0, 16),
    since: loaded.createdAt.toISOString(),
    seen: (loaded.seenAt ?? loaded.createdAt).toISOString(),
    agent: loaded.agent ?? null,
    current: loaded.tokenHash === mine,
  }));
}

/** Ends one of the member's own sessions, or all of them. */
export async function endSessions(actor: Actor, which: string | 'all', now: Date): Promise<void> {
  permit(actor, 'session.own');
  const em = await openEm();
  await em.transactional(async (tx) => {
    const rows = await tx.find(Session, { member: actor.memberId }, { disableIdentityMap: true });
    const ended = rows.filter((r) => which === 'all' || r.tokenHash.startsWith(which));
    await tx.nativeDelete(Session, { tokenHash: { $in: ended.map((r) => r.tokenHash) } });
    await record(
      tx,
      actor,
      'session.own',
      which === 'all' ? `signed out everywhere: ${ended.length} sessions` : 'ended a session',
      now,
    );
  });
}

/** Changes the own password; every other session ends. */
export async function changePassword(
  actor: Actor,
  input: { readonly current: string; readonly next: string },
  token: string | undefined,
  visitor: Visitor,
  now: Date,
): Promise<void> {
  permit(actor, 'session.own');
  const em = await openEm();
  const member = await em.findOneOrFail(Member, { id: actor.memberId });
  if (input.next.length < LEAST_PASSWORD)
    throw new Invalid(`the password needs at least ${LEAST_PASSWORD} characters`);
  const { wait } = await takeTurn(member.nameKey, visitor.address.slice(0, 100), now);
  if (wait > 0) await visitor.pause(wait);
  const { passwordHash } = member;
  if (!passwordHash) throw new Invalid('members of the demo have no password');
  if (!(await verify(passwordHash, input.current.slice(0, 500))))
    throw new Invalid('the current password is wrong');
  const next = await hash(input.next.slice(0, 500), ARGON);
  await em.transactional(async (tx) => {
    await tx.nativeUpdate(Member, { id: actor.memberId }, { passwordHash: next });
    await tx.nativeDelete(Session, {
      member: actor.memberId,
      tokenHash: { $ne: token ? tokenHash(token) : '' },
    });
    await record(tx, actor, 'session.own', 'changed the password; other sessions ended', now);
  });
}
