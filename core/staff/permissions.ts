/**
 * Who may do what: the one table. Store functions, pages, route handlers, server actions and buttons all
 * ask it, so that what a button offers and what the store refuses cannot drift apart.
 */
export const ROLES = ['admin', 'coordinator', 'coach', 'charter', 'guest'] as const;
export type Role = (typeof ROLES)[number];

const FOOTBALL = ['coordinator', 'coach', 'charter'] as const;
const PLANNERS = ['coordinator', 'coach'] as const;
const STAFF = ['admin', 'coordinator', 'coach', 'charter'] as const;

interface Permission {
  /** What is done, as a refusal says it: "closing a game is for a coordinator". */
  readonly what: string;
  readonly roles: readonly Role[];
}

const to = (roles: readonly Role[], what: string): Permission => ({ roles, what });

/** Keys are `resource.action`. */
export const PERMISSIONS = {
  'week.read': to(FOOTBALL, 'reading the week'),
  'week.set': to(PLANNERS, 'choosing the week’s opponent'),
  'game.read': to(FOOTBALL, 'reading the games'),
  'game.create': to(FOOTBALL, 'starting a game'),
  'game.close': to(['coordinator'], 'closing or reopening a game'),
  'game.remove': to(['coordinator'], 'removing a game'),
  'snap.log': to(FOOTBALL, 'logging a game'),
  'snap.log-closed': to(['coordinator'], 'changing a closed game'),
  'charting.plan': to(FOOTBALL, 'choosing what is charted'),
  'view.save': to(FOOTBALL, 'saving views of Read'),
  'reel.save': to(FOOTBALL, 'keeping reels'),
  'reel.open': to([...FOOTBALL, 'guest'], 'opening a reel'),
  'report.words': to(FOOTBALL, 'changing the first page of a report'),
  'report.template': to(PLANNERS, 'saving the sections of reports'),
  'team.read': to(STAFF, 'reading the teams'),
  'team.create': to(FOOTBALL, 'adding a team'),
  'team.rename': to(['coordinator'], 'renaming a team'),
  'roster.read': to(FOOTBALL, 'reading a roster'),
  'roster.change': to(FOOTBALL, 'changing a roster'),
  'availability.read': to(['coordinator'], 'reading who can play'),
  'availability.change': to(['coordinator'], 'saying who can play'),
  'player.merge': to(['coordinator'], 'merging players'),
  'book.read': to(FOOTBALL, 'reading the book'),
  'term.add': to(FOOTBALL, 'adding a term'),
  'term.change': to(FOOTBALL, 'changing a term'),
  'term.remove': to(FOOTBALL, 'removing a term'),
  'term.merge': to(['coordinator'], 'merging terms'),
  'term.split': to(['coordinator'], 'splitting terms'),
  'book.undo': to(['coordinator'], 'undoing a change of the book'),
  'book.import': to(['coordinator'], 'importing a book'),
  'book.replace': to(['coordinator'], 'replacing the book'),
  'book.adopt': to(['coordinator'], 'adding the general terms'),
  'play.read': to(FOOTBALL, 'reading the play list'),
  'play.add': to(PLANNERS, 'adding a play'),
  'play.link': to(PLANNERS, 'linking plays'),
  'sheet.read': to(FOOTBALL, 'reading call sheets'),
  'sheet.create': to(PLANNERS, 'starting a call sheet'),
  'sheet.copy': to(PLANNERS, 'copying a sheet'),
  'sheet.draft': to(PLANNERS, 'drafting a call sheet'),
  'sheet.remark': to(FOOTBALL, 'commenting on a sheet'),
  'sheet.draft-locked': to(['coordinator'], 'changing a locked sheet'),
  'sheet.lock': to(['coordinator'], 'locking a sheet'),
  'program.read': to(STAFF, 'reading the program’s settings'),
  'program.export': to(FOOTBALL, 'exporting the program'),
  'program.import': to(FOOTBALL, 'importing files'),
  'rules.set': to(['admin', 'coordinator'], 'changing the staff’s rules'),
  'level.set': to(['admin'], 'changing the level'),
  'member.read': to(STAFF, 'reading the members'),
  'member.change': to(['admin'], 'changing the members'),
  'backup.read': to(['admin'], 'reading the state of the backups'),
  'audit.read': to(['admin'], 'reading the audit trail'),
  'session.own': to(ROLES, 'managing one’s own sessions'),
} as const satisfies Record<string, Permission>;

export type Action = keyof typeof PERMISSIONS;
export const ACTIONS = Object.keys(PERMISSIONS) as Action[];

/** True when one of the roles may do it. */
export const may = (roles: readonly string[], action: Action): boolean =>
  PERMISSIONS[action].roles.some((r) => roles.includes(r));

/** Roles as a sentence names them: "an admin or coordinator". */
export const rolesWords = (roles: readonly Role[]): string =>
  `${/^[aeiou]/.test(roles[0] ?? '') ? 'an' : 'a'} ${roles.join(' or ')}`;
