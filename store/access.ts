import 'server-only';
import { may, PERMISSIONS, type Action } from '../core/staff';
import type { Actor } from '../core/exchange/types';
import { Refused } from './errors';

/** Throws a refusal that names the roles that could. */
export function permit(actor: Actor, action: Action): void {
  if (!may(actor.roles, action)) throw new Refused(PERMISSIONS[action].what, PERMISSIONS[action].roles);
}
