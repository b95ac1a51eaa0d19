/** Runs and passes as short texts; what is written reads back equal. */
import {
  GAPS,
  JOBS,
  NotationReader,
  oneOf,
  ROUTES,
  type Job,
  type NotationRead,
  type Piece,
  type Route,
} from '../look';
import {
  CARRIERS,
  isBlocking,
  PASS_TYPES,
  RUN_ROLES,
  type PassDef,
  type PassPicture,
  type RunDef,
  type RunRole,
} from './play';

const spaced = (job: string | undefined): string => (job ?? '').replace(/_/g, ' ');
const joined = (job: string): string => job.replace(/ /g, '_');

function roleJob(text: string): readonly [RunRole, Job] | null {
  const [roleWord, jobWord, ...more] = text.split(':');
  const role = oneOf(RUN_ROLES, roleWord);
  const job = oneOf(JOBS, spaced(jobWord));
  return role && job && more.length === 0 ? [role, job] : null;
}

function jobChoice(text: string): RunDef['flex'][number] | null {
  const [jobWord, rolesWord = '', ...more] = text.split('=');
  const job = oneOf(JOBS, spaced(jobWord));
  const by = rolesWord.split(',').map((r) => oneOf(RUN_ROLES, r));
  return job && more.length === 0 && by.every((r): r is RunRole => r !== null) ? { job, by } : null;
}

const READS = ['end man', 'back-side end'] as const;

/** "gap C back | BG:wrap Q:give | kick=PW,LEAD,BW,BY | read end man" → a run. */
export function readRun(text: string): NotationRead<RunDef> {
  const reader = new NotationReader(text, 4);
  const [blocking = '', gapWord, carrierWord, ...more] = reader.part(0).text.split(/\s+/);
  const point = oneOf(GAPS, gapWord);
  const carrier = oneOf(CARRIERS, carrierWord);
  const head = isBlocking(blocking) && point && carrier && more.length === 0;
  if (!head) reader.refuse('run-head', reader.part(0));
  const readPart = reader.part(3);
  const read = oneOf(READS, readPart.text.replace(/^read /, ''));
  if (readPart.text !== '' && !read) reader.refuse('read', readPart);
  return reader.result({
    blocking: isBlocking(blocking) ? blocking : 'zone',
    point: point ?? 'A',
    carrier: carrier ?? 'back',
    read,
    jobs: Object.fromEntries(reader.read(reader.words(1), 'job', roleJob)) as RunDef['jobs'],
    flex: reader.read(reader.words(2), 'job-choice', jobChoice),
  });
}

export const formatRun = (run: RunDef): string =>
  [
    `${run.blocking} ${run.point} ${run.carrier}`,
    Object.entries(run.jobs)
      .map(([role, job]) => `${role}:${joined(job)}`)
      .join(' '),
    run.flex.map((f) => `${joined(f.job)}=${f.by.join(',')}`).join(' '),
    run.read ? `read ${run.read}` : '',
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
