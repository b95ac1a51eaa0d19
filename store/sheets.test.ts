/** Sheets in the database: sections, notes, checks, remarks and versions, against refusals, repeats and other staffs. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { loadDemo } from '../demo/load';
import { practiceOf, staffPrintsOf } from '../core/exchange/settings';
import { USUAL_PRACTICE } from '../core/plan/practice';
import { USUAL_PRINTS } from '../core/plan/prints';
import { CATALOG, SECTIONS } from '../core/plan/sections';
import { sheetScope, type Answer } from '../core/sync';
import type { Actor } from '../core/exchange/types';
import { pack, unpack } from '../core/table';
import { NotFound, Refused } from './errors';
import * as imports from './imports';
import { closeOrm } from './orm';
import * as packages from './packages';
import * as plans from './plans';
import * as programs from './programs';
import * as rows from './rows.testing';
import * as sessions from './sessions';
import * as versions from './sheet-versions';
import { pull, synchronize } from './sync';
import { openTestDatabase, type TestDatabase } from './testing';

vi.setConfig({ testTimeout: 120_000, hookTimeout: 120_000 });

const { NOW, END } = rows;
let database: TestDatabase;
let dara: Actor;
let coach: Actor;
let charter: Actor;
let play: string;

beforeAll(async () => {
  database = await openTestDatabase('sheets');
  await loadDemo(NOW);
  const members = await sessions.demoMembers();
  const as = async (name: RegExp): Promise<Actor> =>
    (await sessions.actorOf(
      await sessions.signInDemo(members.find((m) => name.test(m.name))!.id, NOW),
      NOW,
    ))!;
  dara = await as(/Okafor/);
  coach = await as(/Gorsefield/);
  charter = await as(/Sedgewarden/);
  play = (await plans.listPlays(dara))[0]!.id;
});
afterAll(async () => {
  await database.close();
  await closeOrm();
});

type Body = Parameters<typeof rows.operation>[2];
const send = async (
  actor: Actor,
  sheet: string,
  kind: 'sheet' | 'call' | 'check' | 'remark',
  row: string,
  body: Body,
) => (await synchronize(actor, sheetScope(sheet), [await rows.operation(kind, row, body)], NOW)).answers[0]!;
const refused = (answer: Answer) =>
  answer.status === 'refused' ? [answer.code, answer.reason] : answer.status;
const patch = (fields: Record<string, unknown>, over: number | string = 1): Body => ({
  do: 'patch',
  fields: Object.fromEntries(Object.entries(fields).map(([k, value]) => [k, { value, over }])),
});
const check = (more: Record<string, unknown> = {}): Body => ({
  do: 'put',
  after: END,
  fields: {
    picture: '2x2',
    personnel: null,
    situation: null,
    front: '4-2 over',
    coverage: 'quarters',
    pressure: null,
    note: null,
    ...more,
  },
});
const fresh = () => rows.createSheet(dara, { name: 'Week 9', opponent: 'STG' });

describe('sections of a sheet', () => {
  it('are its own, take calls, and are not lost while calls stand in them', async () => {
    const sheet = await fresh();
    const own = {
      key: 'own-nine',
      label: 'Nine to six',
      filter: {},
      ranges: { toGoal: { from: 6, to: 9 } },
      kinds: [],
    };
    expect(
      refused(
        await send(dara, sheet, 'call', randomUUID(), {
          do: 'put',
          fields: { section: 'own-nine', play },
          after: null,
        }),
      ),
    ).toEqual(['value', 'There is no such section on this sheet.']);
    expect((await send(dara, sheet, 'sheet', sheet, patch({ sections: [...SECTIONS, own] }))).status).toBe(
      'done',
    );
    const call = randomUUID();
    expect(
      (
        await send(dara, sheet, 'call', call, {
          do: 'put',
          fields: { section: 'own-nine', play },
          after: null,
        })
      ).status,
    ).toBe('done');
    expect(refused(await send(dara, sheet, 'sheet', sheet, patch({ sections: SECTIONS }, 2)))).toEqual([
      'in-use',
      'A call stands in Nine to six; move or remove it first.',
    ]);
    expect((await plans.loadSheet(dara, sheet)).sections).toHaveLength(SECTIONS.length + 1);
    await send(dara, sheet, 'call', call, { do: 'delete' });
    expect((await send(dara, sheet, 'sheet', sheet, patch({ sections: null }, 2))).status).toBe('done');
    expect((await plans.loadSheet(dara, sheet)).sections).toBeNull();
  });
  it.each([
    [[], 'A sheet has a section at least.'],
    [[SECTIONS[0], SECTIONS[0]], 'Two sections have one name.'],
    [[{ ...SECTIONS[0], ranges: { toGoal: { from: 9, to: 6 } } }], 'Write the smaller first.'],
    [[{ ...SECTIONS[0], label: ' ' }], 'The name of a section is empty.'],
    [
      Array.from({ length: 41 }, (_, i) => ({ ...SECTIONS[0], key: `s${i}` })),
      'A sheet has up to 40 sections.',
    ],
    ['no list', /./],
    [[{ ...SECTIONS[0], filter: { nothing: ['x'] } }], /./],
  ])('refuse %#', async (sections, words) => {
    const sheet = await fresh();
    const [code, reason] = refused(await send(dara, sheet, 'sheet', sheet, patch({ sections })));
    expect(code).toBe('value');
    expect(reason).toMatch(words);
  });
  it('may be what new sheets begin with, for who drafts sheets', async () => {
    await programs.setSections(coach, CATALOG);
    expect((await programs.programOf(dara)).settings.sections).toHaveLength(CATALOG.length);
    await expect(programs.setSections(charter, CATALOG)).rejects.toBeInstanceOf(Refused);
    await programs.setSections(dara, null);
  });
});

describe('the figures of prints', () => {
  it('are saved by who drafts sheets, whole and within limits; not over what another member saved meanwhile', async () => {
    const { setStaffPrints } = await import('./staff-prints');
    const stands = async () => staffPrintsOf((await programs.programOf(coach)).settings);
    const ours = { ...USUAL_PRINTS, band: { width: 3.5, height: 2, columns: 1 } };
    await expect(setStaffPrints(charter, ours, USUAL_PRINTS)).rejects.toBeInstanceOf(Refused);
    expect(await stands()).toEqual(USUAL_PRINTS);
    await setStaffPrints(dara, ours, USUAL_PRINTS);
    const theirs = { ...USUAL_PRINTS, decisions: { ...USUAL_PRINTS.decisions, punt: 41 } };
    await expect(setStaffPrints(coach, theirs, USUAL_PRINTS)).rejects.toThrow(
      /Another member saved the figures of prints meanwhile/,
    );
    // The same once more is no conflict: its first answer was lost.
    await setStaffPrints(dara, ours, USUAL_PRINTS);
    expect(await stands()).toEqual(ours);
    await expect(setStaffPrints(dara, { ...ours, band: { ...ours.band, width: 30 } }, ours)).rejects.toThrow(
      'Window, inches wide: 7.5 at most',
    );
    // They travel with the program; what cannot be a window is refused with its name.
    const { writeProgram } = await import('../core/exchange/program-json');
    const text = writeProgram(await programs.programOf(dara));
    await setStaffPrints(dara, USUAL_PRINTS, ours);
    await imports.importFiles(dara, [{ name: 'program.json', text }], NOW);
    expect(await stands()).toEqual(ours);
    const wrong = {
      ...(JSON.parse(text) as object),
      prints: { ...ours, band: { ...ours.band, columns: 9 } },
    };
    expect(
      await imports.importFiles(dara, [{ name: 'program.json', text: JSON.stringify(wrong) }], NOW),
    ).toMatchObject({
      imported: false,
    });
    await setStaffPrints(dara, USUAL_PRINTS, ours);
  });
});

describe('the week of practice', () => {
  const game = (day: string) => ({ ...USUAL_PRACTICE, game: day });
  it('is saved by who drafts sheets; not over what another member saved meanwhile', async () => {
    await expect(programs.setPractice(charter, game('2026-11-06'), USUAL_PRACTICE)).rejects.toBeInstanceOf(
      Refused,
    );
    await programs.setPractice(
      dara,
      { ...game('2026-11-06'), importance: { red: 2, first: 0.5 } },
      USUAL_PRACTICE,
    );
    await expect(programs.setPractice(coach, game('2026-11-13'), USUAL_PRACTICE)).rejects.toThrow(
      /Another member saved the week meanwhile/,
    );
    // The same once more is no conflict: its first answer was lost.
    await programs.setPractice(
      dara,
      { ...game('2026-11-06'), importance: { red: 2, first: 0.5 } },
      USUAL_PRACTICE,
    );
    const stands = practiceOf((await programs.programOf(coach)).settings);
    expect(stands).toMatchObject({ game: '2026-11-06', importance: { red: 2, first: 0.5 } });
    await programs.setPractice(coach, game('2026-11-13'), stands);
    expect(practiceOf((await programs.programOf(dara)).settings)).toEqual(game('2026-11-13'));
    await expect(
      programs.setPractice(dara, { ...USUAL_PRACTICE, pace: 9 }, game('2026-11-13')),
    ).rejects.toThrow('Repetitions a minute: 4 at most');
  });
});

describe('notes of a call', () => {
  it('are saved field by field, emptied, and refused in words', async () => {
    const sheet = await fresh();
    const call = await rows.addCall(dara, sheet, { section: 'first', play });
    const notes = {
      tags: ['tempo', 'max'],
      ifThen: [{ when: 'the end squeezes', call: null, words: 'the same again' }],
      needs: ['H'],
      shownFirst: 'the flat',
      note: 'loud',
    };
    expect((await send(dara, sheet, 'call', call, patch(notes))).status).toBe('done');
    expect((await plans.loadSheet(dara, sheet)).list[0]).toMatchObject(notes);
    // Another field by another member lands beside it; the same field is offered.
    expect((await send(coach, sheet, 'call', call, patch({ hash: 'L' }))).status).toBe('done');
    expect((await send(coach, sheet, 'call', call, patch({ note: 'quiet' }))).status).toBe('conflict');
    expect((await send(dara, sheet, 'call', call, patch({ note: '', tags: null }, 2))).status).toBe('done');
    expect((await plans.loadSheet(dara, sheet)).list[0]).toMatchObject({ note: null, tags: [], hash: 'L' });
    for (const [fields, words] of [
      [{ hash: 'X' }, 'The hash is L, M, R or none.'],
      [{ tags: ['a;b'] }, 'A tag has no semicolon.'],
      [{ ifThen: [{ when: 'x', call: null, words: null }] }, 'Say what is done then.'],
      [{ note: 'x'.repeat(201) }, 'A note has up to 200 characters.'],
      [{ color: 'red' }, 'A call has no color to change.'],
    ] as const)
      expect(refused(await send(dara, sheet, 'call', call, patch(fields)))).toEqual(['value', words]);
  });
});

describe('checks and remarks', () => {
  it('stand in their order, are changed by field, moved, removed twice, and sent twice do it once', async () => {
    const sheet = await rows.createSheet(dara, {
      name: 'Defense',
      opponent: 'STG',
      side: 'defense',
    } as never);
    const [a, b, c] = [randomUUID(), randomUUID(), randomUUID()];
    await send(dara, sheet, 'check', a, check());
    await send(dara, sheet, 'check', b, check({ picture: '3x1.boundary' }));
    const twice = await rows.operation('check', c, { ...check({ picture: 'empty' }), after: a } as Body);
    for (let i = 0; i < 2; i++)
      expect((await synchronize(coach, sheetScope(sheet), [twice], NOW)).answers[0]!.status).toBe('done');
    const order = async () => (await plans.loadSheet(dara, sheet)).checks.map((x) => x.id);
    expect(await order()).toEqual([a, c, b]);
    await send(dara, sheet, 'check', a, { do: 'move', fields: {}, after: b });
    expect(await order()).toEqual([c, b, a]);
    // Two members, two fields of one check: both land. One field: the first stands, the second is offered.
    expect((await send(dara, sheet, 'check', a, patch({ front: '3-3' }))).status).toBe('done');
    expect((await send(coach, sheet, 'check', a, patch({ pressure: 'creeper' }))).status).toBe('done');
    const late = await send(coach, sheet, 'check', a, patch({ front: 'bear' }));
    expect(late).toMatchObject({ status: 'conflict', conflicts: [{ theirs: '3-3', yours: 'bear' }] });
    expect((await plans.loadSheet(dara, sheet)).checks.at(-1)).toMatchObject({
      front: '3-3',
      pressure: 'creeper',
    });
    for (let i = 0; i < 2; i++)
      expect((await send(dara, sheet, 'check', b, { do: 'delete' })).status).toBe('done');
    expect(refused(await send(dara, sheet, 'check', b, patch({ front: 'x' })))).toEqual([
      'gone',
      'The check was removed from the sheet.',
    ]);
    for (const [fields, words] of [
      [{ personnel: 'eleven' }, 'Personnel is two digits such as 11.'],
      [{ front: 'x'.repeat(81) }, 'A front has up to 80 characters.'],
      [{ mood: 'calm' }, 'A check has no mood to change.'],
    ] as const)
      expect(refused(await send(dara, sheet, 'check', a, patch(fields)))).toEqual(['value', words]);
    expect((await plans.listSheets(dara)).find((s) => s.key === sheet)).toMatchObject({
      side: 'defense',
      calls: 2,
    });
  });
  it('a thousand between two still find room', async () => {
    const sheet = await fresh();
    const first = randomUUID();
    await send(dara, sheet, 'check', first, check());
    await send(dara, sheet, 'check', randomUUID(), check());
    const wanted = [first];
    for (let round = 0; round < 4; round++) {
      const ops = [];
      for (let i = 0; i < 50; i++) {
        const row = randomUUID();
        ops.push(await rows.operation('check', row, { ...check(), after: first } as Body));
        wanted.splice(1, 0, row);
      }
      const { answers } = await synchronize(dara, sheetScope(sheet), ops, NOW);
      expect(answers.every((x) => x.status === 'done')).toBe(true);
    }
    const ids = (await plans.loadSheet(dara, sheet)).checks.map((x) => x.id);
    expect(ids.slice(0, wanted.length)).toEqual(wanted);
  });
  it('comments are for who reads the sheet, locked or not; reasons and checks for who may change it', async () => {
    const sheet = await fresh();
    const remark = (kind: string): Body => ({
      do: 'put',
      after: END,
      fields: { kind, about: 'sheet', text: 'why?' },
    });
    await rows.lockSheet(dara, sheet, true);
    expect((await send(charter, sheet, 'remark', randomUUID(), remark('comment'))).status).toBe('done');
    const [said] = (await plans.loadSheet(dara, sheet)).remarks;
    // Who says it and when is the server's word, not the browser's.
    expect(said).toMatchObject({ text: 'why?', by: 'Ivo Sedgewarden', at: NOW.toISOString() });
    expect(refused(await send(coach, sheet, 'remark', randomUUID(), remark('waved')))[0]).toBe('locked');
    expect(refused(await send(charter, sheet, 'remark', randomUUID(), remark('waved')))[0]).toBe('role');
    expect(refused(await send(coach, sheet, 'check', randomUUID(), check()))[0]).toBe('locked');
    expect((await send(dara, sheet, 'remark', randomUUID(), remark('waved'))).status).toBe('done');
    expect(
      refused(
        await send(dara, sheet, 'remark', randomUUID(), {
          do: 'put',
          after: END,
          fields: { kind: 'comment', about: 'sheet', text: ' ' },
        }),
      ),
    ).toEqual(['value', 'A remark is empty.']);
    // A row of one sheet is none of another.
    const other = await fresh();
    expect(refused(await send(dara, other, 'remark', said!.id, patch({ text: 'mine' })))[0]).toBe('taken');
  });
});

describe('versions', () => {
  it('hold the sheet as it stood, come back whole, and what stood is kept before', async () => {
    const sheet = await fresh();
    const a = await rows.addCall(dara, sheet, { section: 'first', play });
    const b = await rows.addCall(dara, sheet, { section: 'red', play });
    await send(dara, sheet, 'call', a, patch({ ifThen: [{ when: 'x', call: b, words: null }] }));
    await send(dara, sheet, 'check', randomUUID(), check());
    const before = await plans.loadSheet(dara, sheet);
    expect(await versions.versionNow(charter, sheet)).toBeNull();
    expect(await versions.saveVersion(coach, sheet, ' as drafted ', NOW)).toBe(1);
    expect(await versions.versionNow(charter, sheet)).toEqual({ number: 1, changed: false });
    await rows.removeCall(dara, sheet, a);
    await rows.addCall(dara, sheet, { section: 'goal', play });
    await send(dara, sheet, 'sheet', sheet, patch({ sections: CATALOG }));
    expect(await versions.versionNow(charter, sheet)).toEqual({ number: 1, changed: true });
    const stood = await pull(dara, sheetScope(sheet), null, null);
    expect(await versions.restoreVersion(coach, sheet, 1, NOW)).toEqual({ kept: 2, left: 0 });
    // What was kept before has the number two; the sheet is the first again.
    expect(await versions.versionNow(charter, sheet)).toEqual({ number: 1, changed: false });
    const after = await plans.loadSheet(dara, sheet);
    for (const part of ['list', 'checks', 'remarks', 'sections'] as const)
      expect(after[part]).toEqual(before[part]);
    expect((await pull(dara, sheetScope(sheet), null, null)).revision).toBeGreaterThan(stood.revision);
    const list = await versions.listVersions(charter, sheet);
    expect(list.map((v) => [v.number, v.name, v.by])).toEqual([
      [2, 'Before version 1 was restored', 'Merrit Gorsefield'],
      [1, 'as drafted', 'Merrit Gorsefield'],
    ]);
    expect(list[0]!.content.calls.map((c) => c.section).sort()).toEqual(['goal', 'red']);
  });
  it('are refused to who may not, of a locked sheet, of another staff, of a number there is not', async () => {
    const sheet = await fresh();
    await versions.saveVersion(dara, sheet, '', NOW);
    await expect(versions.saveVersion(charter, sheet, '', NOW)).rejects.toBeInstanceOf(Refused);
    await rows.lockSheet(dara, sheet, true);
    await expect(versions.restoreVersion(coach, sheet, 1, NOW)).rejects.toBeInstanceOf(Refused);
    await expect(versions.restoreVersion(dara, sheet, 9, NOW)).rejects.toBeInstanceOf(NotFound);
    // What was refused left nothing behind.
    expect(await versions.listVersions(dara, sheet)).toHaveLength(1);
    const stranger: Actor = { ...dara, programId: randomUUID() };
    for (const work of [
      () => versions.listVersions(stranger, sheet),
      () => versions.versionNow(stranger, sheet),
      () => versions.saveVersion(stranger, sheet, '', NOW),
      () => versions.restoreVersion(stranger, sheet, 1, NOW),
    ])
      await expect(work()).rejects.toBeInstanceOf(NotFound);
  });
});

it('a copy has its own calls and checks, and its ifs lead to its own calls', async () => {
  const sheet = await fresh();
  const a = await rows.addCall(dara, sheet, { section: 'first', play });
  const b = await rows.addCall(dara, sheet, { section: 'red', play });
  await send(dara, sheet, 'call', a, patch({ ifThen: [{ when: 'x', call: b, words: null }] }));
  await send(dara, sheet, 'check', randomUUID(), check());
  const copy = await plans.loadSheet(coach, await plans.copySheet(coach, sheet, NOW));
  expect(copy.checks).toHaveLength(1);
  const ids = copy.list.map((c) => c.id);
  expect(ids).not.toContain(a);
  expect(ids).toContain(copy.list.find((c) => c.ifThen.length > 0)!.ifThen[0]!.call);
});

it('a package brings sheets of both sides with all that stands on them, and says which cell it cannot read', async () => {
  const sheet = await rows.createSheet(dara, { name: 'Both', opponent: 'STG', side: 'defense' } as never);
  await send(dara, sheet, 'check', randomUUID(), check());
  await send(dara, sheet, 'remark', randomUUID(), {
    do: 'put',
    after: END,
    fields: { kind: 'comment', about: 'sheet', text: 'who?' },
  });
  await send(dara, sheet, 'sheet', sheet, patch({ sections: CATALOG }));
  const call = await rows.addCall(dara, sheet, { section: 'screens', play });
  await send(
    dara,
    sheet,
    'call',
    call,
    patch({ tags: ['tempo'], ifThen: [{ when: 'x', call: null, words: 'y' }] }),
  );
  const zip = pack(await packages.exportFiles(dara, NOW));
  const files = unpack('all.zip', zip);
  if (!files.ok) throw new Error(files.remedy);
  const empty = await openTestDatabase('sheets-empty');
  const token = await programs.createFirstProgram(
    {
      program: 'Saltmere Herons staff',
      level: 'college',
      season: 2026,
      teamKey: 'HER',
      teamName: 'Saltmere Herons',
      memberName: 'Kim One',
      password: 'a long enough one',
    },
    NOW,
  );
  const kim = (await sessions.actorOf(token, NOW))!;
  const broken = files.files.map((f) =>
    f.name === 'sheet_rows.csv' ? { ...f, text: f.text.replace('""coverage""', '""colour""') } : f,
  );
  const wrong = await imports.importFiles(kim, broken, NOW);
  expect(wrong.imported).toBe(false);
  expect(wrong.faults.some((f) => f.startsWith('sheet_rows.csv'))).toBe(true);
  const outcome = await imports.importFiles(kim, files.files, NOW);
  expect([outcome.faults, outcome.imported]).toEqual([[], true]);
  // Who locked a sheet is no member here; everything else comes out as it came.
  const out = unpack('out.zip', pack(await packages.exportFiles(kim, NOW)));
  if (!out.ok) throw new Error(out.remedy);
  const differs = out.files.filter((f) => files.files.find((g) => g.name === f.name)?.text !== f.text);
  expect(differs.map((f) => f.name)).toEqual(['sheets.csv']);
  expect(await plans.loadSheet(kim, sheet)).toMatchObject({
    side: 'defense',
    checks: [{ coverage: 'quarters' }],
    remarks: [{ text: 'who?' }],
  });
  await empty.close();
  process.env.DATABASE_URL = database.url;
});
