/** Edits of a sheet as changes and their way back. What a change is made of is read from the sheet as it stands. */
import type { PlayCard, PrintedSection, SheetCall } from './sheet';

export type SheetChange =
  | {
      readonly do: 'put';
      readonly call: string;
      readonly fields: Readonly<Record<string, unknown>>;
      readonly after: string | null;
    }
  | { readonly do: 'move'; readonly call: string; readonly section: string; readonly after: string | null }
  | { readonly do: 'remove'; readonly call: string }
  | { readonly do: 'hash'; readonly call: string; readonly hash: SheetCall['hash'] }
  | { readonly do: 'sheet'; readonly fields: Readonly<Record<string, unknown>> };

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
  hash: 'The hash of the call is as before.',
  sheet: 'The name of the sheet is as before.',
};

type Sheet = readonly PrintedSection[];

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
): SheetEdit => ({
  redo: {
    do: 'put',
    call: id,
    fields: { section, play: play.id, hash: null, note: null },
    after: placeAfter(sheet, section, before, null),
  },
  undo: { do: 'remove', call: id },
});

export const removeCall = (sheet: Sheet, call: SheetCall): SheetEdit => ({
  redo: { do: 'remove', call: call.id },
  undo: {
    do: 'put',
    call: call.id,
    fields: { section: call.section, play: call.play.id, hash: call.hash, note: call.note },
    after: placeAfter(sheet, call.section, call.id, null),
  },
});

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

export const preferHash = (call: SheetCall, hash: SheetCall['hash']): SheetEdit => ({
  redo: { do: 'hash', call: call.id, hash },
  undo: { do: 'hash', call: call.id, hash: call.hash },
});

export const renameSheet = (before: string, name: string): SheetEdit => ({
  redo: { do: 'sheet', fields: { name } },
  undo: { do: 'sheet', fields: { name: before } },
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
  return call ? moveCall(sheet, call, section, before) : null;
}
