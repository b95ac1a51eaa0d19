/**
 * What is kept. Entities and domain values are different types; mapping.ts stands between them.
 * Every row below a program carries `program`, so that no question can cross programs.
 */
import 'server-only';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { LEVEL_KEYS } from '../core/field/profile';
import { PHASES } from '../core/table/schema';
import {
  CHARTING_KINDS,
  type OfficialFigures,
  type ProgramSettings,
  type ReadingMap,
  type Confused,
} from '../core/exchange/types';
import {
  AVAILABILITIES,
  AVAILABILITY_SOURCES,
  type Availability,
  type AvailabilitySource,
} from '../core/roster/availability';
import type { Answer } from '../core/sync/operation';

export const Program = defineEntity({
  name: 'Program',
  tableName: 'program',
  properties: {
    id: p.uuid().primary(),
    name: p.string(),
    level: p.enum(() => LEVEL_KEYS).$type<(typeof LEVEL_KEYS)[number]>(),
    season: p.integer(),
    team: p.string(),
    demo: p.boolean(),
    bookName: p.string(),
    bookLetters: p.array<string>(),
    settings: p.json<ProgramSettings>(),
    createdAt: p.datetime(),
  },
});

export const program = () => p.manyToOne(Program).mapToPk().$type<string>();

export const Member = defineEntity({
  name: 'Member',
  tableName: 'member',
  uniques: [{ properties: ['program', 'nameKey'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    name: p.string(),
    /** Lower case: names are compared without case. */
    nameKey: p.string(),
    /** Null: no password sign-in (members of the demo). */
    passwordHash: p.text().nullable(),
    roles: p.array<string>(),
    /** A removed member cannot sign in; his tags keep the name. */
    removedAt: p.datetime().nullable(),
    createdAt: p.datetime(),
  },
});

export const member = () => p.manyToOne(Member).mapToPk().$type<string>();

export const Session = defineEntity({
  name: 'Session',
  tableName: 'session',
  properties: {
    tokenHash: p.string().primary(),
    member: member(),
    createdAt: p.datetime(),
    expiresAt: p.datetime(),
    /** Last used, to the minute; what the browser called itself. Null in sessions of older versions. */
    seenAt: p.datetime().nullable(),
    agent: p.string().nullable(),
  },
});

export const SignInAttempt = defineEntity({
  name: 'SignInAttempt',
  tableName: 'sign_in_attempt',
  indexes: [{ properties: ['nameKey', 'at'] }, { properties: ['address', 'at'] }],
  properties: { id: p.uuid().primary(), nameKey: p.string(), address: p.string(), at: p.datetime() },
});

/** One row: which life of the database this is. A restore begins a new one, and every open page learns of it. */
export const Installation = defineEntity({
  name: 'Installation',
  tableName: 'installation',
  properties: { id: p.integer().primary(), epoch: p.string() },
});

export const Team = defineEntity({
  name: 'Team',
  tableName: 'team',
  uniques: [{ properties: ['program', 'key'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    key: p.string(),
    name: p.string(),
    nickname: p.string().nullable(),
    place: p.string().nullable(),
  },
});

export const Season = defineEntity({
  name: 'Season',
  tableName: 'season',
  uniques: [{ properties: ['program', 'year'] }],
  properties: { id: p.uuid().primary(), program: program(), year: p.integer() },
});

export const Player = defineEntity({
  name: 'Player',
  tableName: 'player',
  uniques: [{ properties: ['program', 'key'] }],
  properties: { id: p.uuid().primary(), program: program(), key: p.string(), name: p.string().nullable() },
});

export const RosterEntry = defineEntity({
  name: 'RosterEntry',
  tableName: 'roster_entry',
  uniques: [{ properties: ['player', 'team', 'season', 'number'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    player: p.manyToOne(Player).mapToPk().$type<string>(),
    team: p.manyToOne(Team).mapToPk().$type<string>(),
    season: p.manyToOne(Season).mapToPk().$type<string>(),
    number: p.string(),
    letters: p.string().nullable(),
    class: p.string().nullable(),
    height: p.integer().nullable(),
    weight: p.integer().nullable(),
    /** Place among those of his letters: 1 starts. */
    depth: p.integer().nullable(),
  },
});

/** Who can play in a week of the season, by whom it is said: never why. */
export const AvailabilityRow = defineEntity({
  name: 'AvailabilityRow',
  tableName: 'availability',
  uniques: [{ properties: ['player', 'season', 'week'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    player: p.manyToOne(Player).mapToPk().$type<string>().deleteRule('cascade'),
    season: p.manyToOne(Season).mapToPk().$type<string>(),
    week: p.integer(),
    state: p.enum(() => AVAILABILITIES).$type<Availability>(),
    source: p.enum(() => AVAILABILITY_SOURCES).$type<AvailabilitySource>(),
    by: member(),
    at: p.datetime(),
  },
});

export const Game = defineEntity({
  name: 'Game',
  tableName: 'game',
  uniques: [{ properties: ['program', 'key'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    season: p.manyToOne(Season).mapToPk().$type<string>(),
    key: p.string(),
    date: p.string().nullable(),
    week: p.integer().nullable(),
    home: p.string(),
    away: p.string(),
    level: p.enum(() => LEVEL_KEYS).$type<(typeof LEVEL_KEYS)[number]>(),
    phase: p.enum(() => PHASES).$type<(typeof PHASES)[number]>(),
    surface: p.string().nullable(),
    weather: p.string().nullable(),
    wind: p.string().nullable(),
    source: p.string().nullable(),
    /** Logged to the end: set by a coordinator. */
    closed: p.boolean(),
    /** Where the camera stood, and for whom the film is charted. */
    angle: p.string().nullable(),
    purpose: p.string().nullable(),
    weight: p.double().$type<number>().nullable(),
    /** Figures of the official scorer, by team and stat. */
    official: p.json<OfficialFigures>().nullable(),
  },
});

const game = () => p.manyToOne(Game).mapToPk().$type<string>();

/** Number worn: one number may be two men of one team, one a unit. */
export const NumberWorn = defineEntity({
  name: 'NumberWorn',
  tableName: 'number_worn',
  uniques: [{ properties: ['game', 'team', 'unit', 'number'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    game: game(),
    team: p.string(),
    unit: p.string(),
    number: p.string(),
    player: p.manyToOne(Player).mapToPk().$type<string>(),
  },
});

/** Who stands where today: the number behind a letter of the book in one game. */
export const LetterWorn = defineEntity({
  name: 'LetterWorn',
  tableName: 'letter_worn',
  uniques: [{ properties: ['game', 'team', 'letter'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    game: game(),
    team: p.string(),
    letter: p.string(),
    number: p.string(),
  },
});

export const Charting = defineEntity({
  name: 'Charting',
  tableName: 'charting',
  uniques: [{ properties: ['game', 'charter', 'kind'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    game: game(),
    charter: member(),
    kind: p.enum(() => CHARTING_KINDS).$type<(typeof CHARTING_KINDS)[number]>(),
    /** Counts every change to the charting's snaps; a reader asks for what came after its own. */
    revision: p.integer(),
    createdAt: p.datetime(),
    /** A blind charting that is ended; null: its charter is at it, or it is the official one. */
    handedInAt: p.datetime().nullable(),
  },
});

/** Counts every change to a scope's rows (a sheet's calls, the book, the play list) and is its lock. Games count in their charting. */
export const SyncScope = defineEntity({
  name: 'SyncScope',
  tableName: 'sync_scope',
  properties: {
    program: p.manyToOne(Program).mapToPk().$type<string>().primary(),
    scope: p.string().primary(),
    revision: p.integer(),
  },
});

/** Operations that were done, with their answers: the same operation sent again gets the same answer and does nothing. */
export const SyncOperation = defineEntity({
  name: 'SyncOperation',
  tableName: 'sync_operation',
  indexes: [{ properties: ['at'] }],
  properties: {
    program: p.manyToOne(Program).mapToPk().$type<string>().primary(),
    id: p.string().primary(),
    at: p.datetime(),
    answer: p.json<Answer>(),
  },
});

/** Who did what to members, roles, imports, merges, restores, exports, closing and locking. Never changed, never removed. */
export const AuditEntry = defineEntity({
  name: 'AuditEntry',
  tableName: 'audit_entry',
  indexes: [{ properties: ['program', 'at'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    at: p.datetime(),
    member: p.string().nullable(),
    name: p.string(),
    action: p.string(),
    words: p.text(),
  },
});

/** A backup that was made: when, where, and whether a restore of it into a scratch database succeeded. */
export const BackupRun = defineEntity({
  name: 'BackupRun',
  tableName: 'backup_run',
  properties: {
    id: p.uuid().primary(),
    at: p.datetime(),
    file: p.text(),
    bytes: p.bigint('number'),
    verifiedAt: p.datetime().nullable(),
    problem: p.text().nullable(),
  },
});

/** Which game a member has open, and on which snap he is: who else is at it. */
export const Presence = defineEntity({
  name: 'Presence',
  tableName: 'presence',
  properties: {
    member: p.manyToOne(Member).mapToPk().$type<string>().primary(),
    program: program(),
    game: game(),
    snap: p.string().nullable(),
    at: p.datetime(),
  },
});

/** How well a member knows a look, by the rule of `core/drill`. */
export const DrillCard = defineEntity({
  name: 'DrillCard',
  tableName: 'drill_card',
  properties: {
    program: p.manyToOne(Program).mapToPk().$type<string>().primary(),
    member: p.manyToOne(Member).mapToPk().$type<string>().primary(),
    look: p.string().primary(),
    repetitions: p.integer(),
    ease: p.double().$type<number>(),
    days: p.integer(),
    due: p.datetime(),
    asked: p.integer(),
    missed: p.integer(),
    /** What was said for what, by field. */
    confused: p.json<Confused>(),
  },
});

export type MemberEntity = InferEntity<typeof Member>;

/** How a staff read somebody else's table: found again by its headings. */
export const ForeignReading = defineEntity({
  name: 'ForeignReading',
  tableName: 'foreign_reading',
  uniques: [{ properties: ['program', 'headings'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    /** Column names in one order. */
    headings: p.text(),
    mapping: p.json<ReadingMap['mapping']>(),
    values: p.json<ReadingMap['values']>(),
    by: member(),
    at: p.datetime(),
  },
});
