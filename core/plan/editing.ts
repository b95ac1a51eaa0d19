/** Edits of a sheet as changes and their way back. What a change is made of is read from the sheet as it stands. */
import type { Check, CheckAnswer, Remark, SheetRowKind } from './rows';
import type { SectionSpec } from './sections';
import {
  CALL_NOTES,
  NO_NOTES,
  type CallNotes,
  type PlayCard,
  type PrintedSection,
  type SheetCall,
} from './sheet';

export type SheetChange =
  | {
      readonly do: 'put';
      readonly call: string;
      readonly fields: Readonly<Record<string, unknown>>;
      readonly after: string | null;
    }
  | { readonly do: 'move'; readonly call: string; readonly section: string; readonly after: string | null }
  | { readonly do: 'remove'; readonly call: string }
  | { readonly do: 'call'; readonly call: string; readonly fields: Readonly<Record<string, unknown>> }
  | { readonly do: 'sheet'; readonly fields: Readonly<Record<string, unknown>> }
  | {
      readonly do: 'add';
      readonly kind: SheetRowKind;
      readonly row: string;
      readonly fields: Readonly<Record<string, unknown>>;
      readonly after: string | null;
    }
  | {
      readonly do: 'change';
      readonly kind: SheetRowKind;
      readonly row: string;
      readonly fields: Readonly<Record<string, unknown>>;
    }
  | { readonly do: 'drop'; readonly kind: SheetRowKind; readonly row: string }
  | { readonly do: 'many'; readonly changes: readonly SheetChange[] };

/** `undo`: null where an edit is not taken back by Undo. */
export interface SheetEdit {
  readonly redo: SheetChange;
  readonly undo: SheetChange | null;
}

/** What taking an edit back did, as a sentence says it, by the change that took it back. */
export const UNDONE: Readonly<Record<SheetChange['do'], string>> = {
  put: 'The call is back on the sheet.',
  move: 'The call is back in its place.',
  remove: 'The call is off the sheet again.',
  call: 'The call is as before.',
  sheet: 'The sheet is as before.',
  add: 'It is back on the sheet.',
  change: 'It is as before.',
  drop: 'It is off the sheet again.',
  many: 'All of it is as before.',
};

type Sheet = readonly PrintedSection[];
const NONE: ReadonlySet<string> = new Set();

/** An anchor that no row has: the end. */
const END_OF_ROWS = 'the end';

const callsIn = (sheet: Sheet, section: string): readonly SheetCall[] =>
  sheet.find((p) => p.section.key === section)?.calls ?? [];

/** The call that a place follows: the one before `before`, or the last of the section. `except`: it is being moved. */
function placeAfter(
  sheet: Sheet,
  section: string,
  before: string | null,
  except: string | null,
): string | null {
  const list = callsIn(sheet, section).filter((c) => c.id !== except);
  const at = before === null ? -1 : list.findIndex((c) => c.id === before);
  return (at < 0 ? list.at(-1) : list[at - 1])?.id ?? null;
}

export const addCall = (
  sheet: Sheet,
  id: string,
  play: PlayCard,
  section: string,
  before: string | null,
  notes: Partial<CallNotes> = {},
): SheetEdit => ({
  redo: {
    do: 'put',
    call: id,
    fields: { section, play: play.id, ...NO_NOTES, ...notes },
    after: placeAfter(sheet, section, before, null),
  },
  undo: { do: 'remove', call: id },
});

export const removeCall = (sheet: Sheet, call: SheetCall): SheetEdit => ({
  redo: { do: 'remove', call: call.id },
  undo: {
    do: 'put',
    call: call.id,
    fields: { section: call.section, play: call.play.id, ...notesOf(call) },
    after: placeAfter(sheet, call.section, call.id, null),
  },
});

/** Calls as they stand on the sheet, each with the one it follows in its section. */
const inPlace = (sheet: Sheet, ids: ReadonlySet<string>): { call: SheetCall; after: string | null }[] =>
  sheet.flatMap(({ calls }) =>
    calls.flatMap((call, i) => (ids.has(call.id) ? [{ call, after: calls[i - 1]?.id ?? null }] : [])),
  );

/** Several off the sheet; taken back from the top, so that each finds the one it followed. Null: none of them stands. */
export function removeCalls(sheet: Sheet, ids: ReadonlySet<string>): SheetEdit | null {
  const gone = inPlace(sheet, ids);
  if (gone.length === 0) return null;
  return {
    redo: { do: 'many', changes: gone.map(({ call }) => ({ do: 'remove', call: call.id })) },
    undo: {
      do: 'many',
      changes: gone.map(({ call, after }) => ({
        do: 'put',
        call: call.id,
        fields: { section: call.section, play: call.play.id, ...notesOf(call) },
        after,
      })),
    },
  };
}

/** Several to one place, in the order of the sheet. `before`: one of them leaves them where the next that stays begins. */
export function moveCalls(
  sheet: Sheet,
  ids: ReadonlySet<string>,
  section: string,
  before: string | null,
): SheetEdit | null {
  const moved = inPlace(sheet, ids);
  if (moved.length === 0) return null;
  const there = callsIn(sheet, section);
  const from = before === null ? there.length : there.findIndex((c) => c.id === before);
  const staying = there.slice(0, from < 0 ? there.length : from).filter((c) => !ids.has(c.id));
  return {
    redo: {
      do: 'many',
      changes: moved.map(({ call }, i) => ({
        do: 'move',
        call: call.id,
        section,
        after: (i === 0 ? staying.at(-1)?.id : moved[i - 1]!.call.id) ?? null,
      })),
    },
    undo: {
      do: 'many',
      changes: moved.map(({ call, after }) => ({
        do: 'move',
        call: call.id,
        section: call.section,
        after,
      })),
    },
  };
}

/** Several in one go, undone in one. Null: there is nothing to do. */
export function together(edits: readonly SheetEdit[]): SheetEdit | null {
  if (edits.length === 0) return null;
  const back = edits.flatMap((e) => (e.undo ? [e.undo] : [])).reverse();
  return {
    redo: { do: 'many', changes: edits.map((e) => e.redo) },
    undo: back.length > 0 ? { do: 'many', changes: back } : null,
  };
}

export interface NewCall {
  readonly id: string;
  readonly section: string;
  readonly play: PlayCard;
  readonly notes?: Partial<CallNotes>;
}
/** Calls behind those of their sections, in the order they come; or before one, in its section. */
export function addCalls(
  sheet: Sheet,
  calls: readonly NewCall[],
  before: string | null = null,
): SheetEdit | null {
  const last = new Map<string, string>();
  return together(
    calls.map(({ id, section, play, notes = {} }) => {
      const edit = addCall(sheet, id, play, section, before, notes);
      const after = last.get(section);
      last.set(section, id);
      return after === undefined ? edit : { ...edit, redo: { ...edit.redo, after } as SheetChange };
    }),
  );
}

/** To another place or section; null where it would stay. */
export function moveCall(
  sheet: Sheet,
  call: SheetCall,
  section: string,
  before: string | null,
): SheetEdit | null {
  if (before === call.id) return null;
  return {
    redo: { do: 'move', call: call.id, section, after: placeAfter(sheet, section, before, call.id) },
    undo: {
      do: 'move',
      call: call.id,
      section: call.section,
      after: placeAfter(sheet, call.section, call.id, null),
    },
  };
}

/** One place up or down in its section; null at its end. */
export function nudgeCall(sheet: Sheet, call: SheetCall, by: -1 | 1): SheetEdit | null {
  const list = callsIn(sheet, call.section);
  const at = list.findIndex((c) => c.id === call.id);
  const over = list[at + by];
  if (at < 0 || !over) return null;
  return moveCall(sheet, call, call.section, by < 0 ? over.id : (list[at + 2]?.id ?? null));
}

/** What is noted of a call, by field. */
export const notesOf = (call: SheetCall): CallNotes =>
  Object.fromEntries(CALL_NOTES.map((field) => [field, call[field]])) as unknown as CallNotes;

/** Null where nothing would change. */
export function noteCall(call: SheetCall, notes: Partial<CallNotes>): SheetEdit | null {
  const changed = (Object.keys(notes) as (keyof CallNotes)[]).filter(
    (field) => JSON.stringify(notes[field]) !== JSON.stringify(call[field]),
  );
  if (changed.length === 0) return null;
  const of = (from: Partial<CallNotes>): Readonly<Record<string, unknown>> =>
    Object.fromEntries(changed.map((field) => [field, from[field]]));
  return {
    redo: { do: 'call', call: call.id, fields: of(notes) },
    undo: { do: 'call', call: call.id, fields: of(call) },
  };
}

/** Other sections, another order, other names; null: the usual ones. */
export const setSections = (
  before: readonly SectionSpec[] | null,
  sections: readonly SectionSpec[] | null,
): SheetEdit => ({
  redo: { do: 'sheet', fields: { sections } },
  undo: { do: 'sheet', fields: { sections: before } },
});

export const renameSheet = (before: string, name: string): SheetEdit => ({
  redo: { do: 'sheet', fields: { name } },
  undo: { do: 'sheet', fields: { name: before } },
});

type CheckFields = Pick<Check, 'picture' | 'personnel' | 'situation'> & CheckAnswer;

/** A check behind the others, or behind one. */
export const addCheck = (id: string, fields: CheckFields, after: string | null): SheetEdit => ({
  redo: { do: 'add', kind: 'check', row: id, fields: { ...fields }, after },
  undo: { do: 'drop', kind: 'check', row: id },
});

/** Null where nothing would change. */
export function changeCheck(check: Check, fields: Partial<CheckFields>): SheetEdit | null {
  const changed = (Object.keys(fields) as (keyof CheckFields)[]).filter((f) => fields[f] !== check[f]);
  if (changed.length === 0) return null;
  const of = (from: Partial<CheckFields>): Readonly<Record<string, unknown>> =>
    Object.fromEntries(changed.map((f) => [f, from[f]]));
  return {
    redo: { do: 'change', kind: 'check', row: check.id, fields: of(fields) },
    undo: { do: 'change', kind: 'check', row: check.id, fields: of(check) },
  };
}

export function removeCheck(checks: readonly Check[], check: Check): SheetEdit {
  const { id, order: _, ...fields } = check;
  const at = checks.findIndex((c) => c.id === id);
  return {
    redo: { do: 'drop', kind: 'check', row: id },
    undo: { do: 'add', kind: 'check', row: id, fields, after: checks[at - 1]?.id ?? null },
  };
}

/** Checks behind those there are, in the order they come. */
export const addChecks = (
  checks: readonly Check[],
  fresh: readonly (CheckFields & { readonly id: string })[],
): SheetEdit | null =>
  together(
    fresh.map(({ id, ...fields }, i) =>
      addCheck(id, fields, (i === 0 ? checks.at(-1)?.id : fresh[i - 1]!.id) ?? null),
    ),
  );

export const addRemark = (
  id: string,
  { kind, about, text }: Pick<Remark, 'kind' | 'about' | 'text'>,
): SheetEdit => ({
  redo: { do: 'add', kind: 'remark', row: id, fields: { kind, about, text }, after: END_OF_ROWS },
  undo: { do: 'drop', kind: 'remark', row: id },
});

export const removeRemark = ({ id, kind, about, text }: Remark): SheetEdit => ({
  redo: { do: 'drop', kind: 'remark', row: id },
  undo: { do: 'add', kind: 'remark', row: id, fields: { kind, about, text }, after: END_OF_ROWS },
});

/** Locking is no slip of the hand: it is unlocked, not undone. */
export const lockSheet = (locked: boolean): SheetEdit => ({
  redo: { do: 'sheet', fields: { locked } },
  undo: null,
});

/** What was dropped where: "play|<id>" or "move|<call>" on "call|<call>" or "section|<key>". */
export function dropOn(
  sheet: Sheet,
  plays: readonly PlayCard[],
  dragged: string,
  over: string,
  id: string,
  /** Calls that go along when one of them is dragged. */
  marked: ReadonlySet<string> = NONE,
): SheetEdit | null {
  const calls = sheet.flatMap((p) => p.calls);
  const [kind, which] = dragged.split('|');
  const target = over.startsWith('call|')
    ? calls.find((c) => c.id === over.slice('call|'.length))
    : undefined;
  const section = target?.section ?? over.slice('section|'.length);
  const before = target?.id ?? null;
  if (kind === 'play') {
    const play = plays.find((p) => p.id === which);
    return play ? addCall(sheet, id, play, section, before) : null;
  }
  const call = calls.find((c) => c.id === which);
  if (call && marked.has(call.id)) return moveCalls(sheet, marked, section, before);
  return call ? moveCall(sheet, call, section, before) : null;
}
