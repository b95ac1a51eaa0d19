/** People: the first program, sign-in and sessions, members and their roles. */
import 'server-only';
import type { InferEntity } from '@mikro-orm/core';
import { hash } from '@node-rs/argon2';
import { randomUUID } from 'node:crypto';
import { permit } from './access';
import { record } from './audit';
import { Member, Session } from './entities';
import { Invalid, NotFound } from './errors';
import { openEm, type Em } from './orm';
import type { Role } from '../core/staff';
import type { Actor, MemberInfo } from '../core/exchange/types';
import { ARGON, LEAST_PASSWORD, keyOf } from './sessions';

export async function listMembers(actor: Actor): Promise<MemberInfo[]> {
  permit(actor, 'member.read');
  const members = await (
    await openEm()
  ).find(Member, { program: actor.programId }, { orderBy: { name: 'asc' } });
  return members.map((m) => ({ id: m.id, name: m.name, roles: m.roles, removed: m.removedAt !== null }));
}

export async function addMember(
  actor: Actor,
  input: { readonly name: string; readonly password: string; readonly roles: readonly Role[] },
  now: Date,
): Promise<void> {
  permit(actor, 'member.change');
  const name = input.name.trim();
  if (/[\p{Cc}\p{Cs}]/u.test(name)) throw new Invalid('the name holds a control character; type it again');
  if (input.password.length < LEAST_PASSWORD)
    throw new Invalid(`the password needs at least ${LEAST_PASSWORD} characters`);
  if (input.roles.length === 0) throw new Invalid('a member needs at least one role');
  const passwordHash = await hash(input.password, ARGON);
  const em = await openEm();
  await em.transactional(async (tx) => {
    await lockMembers(tx, actor);
    // Sign-in asks for a name only, so a name is one member's in the whole database.
    if (
      await tx.findOne(Member, {
        nameKey: keyOf(name),
        $or: [{ program: actor.programId }, { removedAt: null }],
      })
    )
      throw new Invalid(`${name} is a member already; choose another name`);
    tx.create(Member, {
      id: randomUUID(),
      program: actor.programId,
      name,
      nameKey: keyOf(name),
      passwordHash,
      roles: [...new Set(input.roles)],
      removedAt: null,
      createdAt: now,
    });
    await record(tx, actor, 'member.change', `${name} added as ${input.roles.join(', ')}`, now);
    await tx.flush();
  });
}

const lockMembers = (tx: Em, actor: Actor): Promise<unknown> =>
  tx.execute('select 1 from program where id = ? for update', [actor.programId]);

async function findMember(tx: Em, actor: Actor, id: string): Promise<InferEntity<typeof Member>> {
  const member = /^[0-9a-f-]{36}$/i.test(id)
    ? await tx.findOne(Member, { id, program: actor.programId })
    : null;
  if (!member) throw new NotFound('member');
  return member as InferEntity<typeof Member>;
}

export async function setRoles(
  actor: Actor,
  memberId: string,
  roles: readonly Role[],
  now: Date,
): Promise<void> {
  permit(actor, 'member.change');
  if (roles.length === 0) throw new Invalid('a member needs at least one role');
  const em = await openEm();
  await em.transactional(async (tx) => {
    await lockMembers(tx, actor);
    const member = await findMember(tx, actor, memberId);
    if (member.removedAt) throw new Invalid(`${member.name} was removed`);
    if (member.id === actor.memberId && !roles.includes('admin'))
      throw new Invalid('you cannot take the admin’s role from yourself; another admin can');
    await record(
      tx,
      actor,
      'member.change',
      `${member.name}: ${member.roles.join(', ')} became ${roles.join(', ')}`,
      now,
    );
    member.roles = [...new Set(roles)];
    await tx.flush();
  });
}

export async function removeMember(actor: Actor, memberId: string, now: Date): Promise<void> {
  permit(actor, 'member.change');
  if (memberId === actor.memberId) throw new Invalid('you cannot remove yourself; another admin can');
  const em = await openEm();
  await em.transactional(async (tx) => {
    await lockMembers(tx, actor);
    const member = await findMember(tx, actor, memberId);
    member.removedAt = now;
    await tx.nativeDelete(Session, { member: memberId });
    await record(tx, actor, 'member.change', `${member.name} removed`, now);
    await tx.flush();
  });
}
