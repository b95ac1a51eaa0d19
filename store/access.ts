import { Refused } from './errors';
import type { Actor, Role } from '../core/exchange/types';

/** Throws a refusal that names the roles that could. */
export function requireRole(actor: Actor, what: string, ...could: Role[]): void {
  if (!actor.roles.some((r) => could.includes(r))) throw new Refused(what, could);
}

/** Who may log and read football. */
export const FOOTBALL: readonly Role[] = ['coordinator', 'coach', 'charter'];
export const requireFootball = (actor: Actor, what: string): void => requireRole(actor, what, ...FOOTBALL);
