/** Runs and passes as short texts; what is written reads back equal. */
import {
  CARRIERS,
  GAPS,
  isBlocking,
  JOBS,
  NotationReader,
  oneOf,
  PITCH_READS,
  ROUTES,
  RUN_READS,
  RUN_ROLES,
  type FlexJob,
  type Job,
  type NotationRead,
  type Piece,
  type PitchRead,
  type Route,
  type RunDef,
  type RunRead,
  type RunRole,
} from '../look';
import { PASS_TYPES, type PassDef, type PassPicture } from './play';

const spaced = (job: string | undefined): string => (job ?? '').replace(/_/g, ' ');
const joined = (job: string): string => job.replace(/ /g, '_');

function roleJob(text: string): readonly [RunRole, Job] | null {
  const [roleWord, jobWord, ...more] = text.split(':');
  const role = oneOf(RUN_ROLES, roleWord);
  const job = oneOf(JOBS, spaced(jobWord));
  return role && job && more.length === 0 ? [role, job] : null;
}

/** "kick=PW,LEAD,PY:base": who takes a job, with another job for one of them; "fill?=LEAD": the play goes without. */
function jobChoice(text: string): FlexJob | null {
  const [head = '', takers = '', ...more] = text.split('=');
  const optional = head.endsWith('?');
  const job = oneOf(JOBS, spaced(optional ? head.slice(0, -1) : head));
  const by: RunRole[] = [];
  const as: Partial<Record<RunRole, Job>> = {};
  for (const taker of takers.split(',')) {
    const [roleWord, jobWord, ...rest] = taker.split(':');
    const role = oneOf(RUN_ROLES, roleWord);
    const other = jobWord === undefined ? null : oneOf(JOBS, spaced(jobWord));
    if (!role || rest.length > 0 || (jobWord !== undefined && !other)) return null;
    by.push(role);
    if (other) as[role] = other;
  }
  if (!job || more.length > 0) return null;
  return { job, by, ...(Object.keys(as).length > 0 ? { as } : {}), ...(optional ? { optional } : {}) };
}

/** "read dive key, pitch next man", either part alone, or nothing. */
function readsOf(text: string): { readonly read: RunRead | null; readonly pitch: PitchRead | null } | null {
  let read: RunRead | null = null;
  let pitch: PitchRead | null = null;
  for (const part of text.split(/\s*,\s*/)) {
    if (part === '') continue;
    if (part.startsWith('pitch ')) {
      pitch = oneOf(PITCH_READS, part.slice(6));
      if (!pitch) return null;
    } else {
      read = oneOf(RUN_READS, part.replace(/^read /, ''));
      if (!read) return null;
    }
  }
  return { read, pitch };
}

/** "gap C back | BG:wrap Q:give | kick=PW,LEAD,PY:base | read end man" → a run. */
export function readRun(text: string): NotationRead<RunDef> {
  const reader = new NotationReader(text, 4);
  const [blocking = '', gapWord, carrierWord, ...more] = reader.part(0).text.split(/\s+/);
  const point = oneOf(GAPS, gapWord);
  const carrier = oneOf(CARRIERS, carrierWord);
  const head = isBlocking(blocking) && point && carrier && more.length === 0;
  if (!head) reader.refuse('run-head', reader.part(0));
  const readPart = reader.part(3);
  const reads = readsOf(readPart.text);
  if (!reads) reader.refuse('read', readPart);
  return reader.result({
    blocking: isBlocking(blocking) ? blocking : 'zone',
    point: point ?? 'A',
    carrier: carrier ?? 'back',
    read: reads?.read ?? null,
    ...(reads?.pitch ? { pitch: reads.pitch } : {}),
    jobs: Object.fromEntries(reader.read(reader.words(1), 'job', roleJob)) as RunDef['jobs'],
    flex: reader.read(reader.words(2), 'job-choice', jobChoice),
  });
}

const choice = ({ job, by, as, optional }: FlexJob): string =>
  `${joined(job)}${optional ? '?' : ''}=${by.map((role) => (as?.[role] ? `${role}:${joined(as[role])}` : role)).join(',')}`;

export const formatRun = (run: RunDef): string =>
  [
    `${run.blocking} ${run.point} ${run.carrier}`,
    Object.entries(run.jobs)
      .map(([role, job]) => `${role}:${joined(job)}`)
      .join(' '),
    run.flex.map(choice).join(' '),
    [run.read ? `read ${run.read}` : '', run.pitch ? `pitch ${run.pitch}` : ''].filter(Boolean).join(', '),
  ]
    .join(' | ')
    .replace(/[ |]+$/, '');

const route = (text: string): Route | null => oneOf(ROUTES, text);

/**
 * "quick 3 | go, flat, stick / go, stick + flat | slant, bubble | block" → a pass: strong side, weak side, back. Behind
 * a slash the side with another number of receivers; behind a plus the back's route in that picture.
 */
export function readPass(text: string): NotationRead<PassDef> {
  const reader = new NotationReader(text, 4);
  const match = /^(.+?)\s+(\d)$/.exec(reader.part(0).text);
  const type = oneOf(PASS_TYPES, match?.[1]);
  if (!type) reader.refuse('pass-head', reader.part(0));
  const backPart: Piece[] = reader.part(3).text === '' ? [] : [reader.part(3)];
  const pictures = (part: number): PassPicture[] =>
    reader.lists(part).map(({ words, plus }) => ({
      routes: reader.read(words, 'route', route),
      back: plus === null ? null : (reader.read([plus], 'route', route)[0] ?? null),
    }));
  const [strong, ...otherStrong] = pictures(1);
  const [weak, ...otherWeak] = pictures(2);
  return reader.result({
    type: type ?? 'quick',
    drop: Number(match?.[2]),
    strong: strong?.routes ?? [],
    weak: weak?.routes ?? [],
    back: reader.read(backPart, 'route', route)[0] ?? 'block',
    ...(otherStrong.length + otherWeak.length > 0
      ? { others: { strong: otherStrong, weak: otherWeak } }
      : {}),
  });
}

const side = (base: readonly Route[], others: readonly PassPicture[] = []): string =>
  [
    base.join(', '),
    ...others.map((p) => `${p.routes.join(', ')}${p.back === null ? '' : ` + ${p.back}`}`),
  ].join(' / ');

export const formatPass = (pass: PassDef): string =>
  `${pass.type} ${pass.drop} | ${side(pass.strong, pass.others?.strong)} | ${side(pass.weak, pass.others?.weak)} | ${pass.back}`;
