import type { CommandSpec } from './spec';

export const PLAN = [
  { id: 'undo', label: 'undo the last change', chords: ['Mod+Z'] },
  { id: 'next', label: 'next section', chords: ['Alt+J'] },
  { id: 'previous', label: 'previous section', chords: ['Alt+K'] },
  { id: 'plays', label: 'the focus to the plays of the section', chords: ['Alt+A'] },
  {
    id: 'sheet',
    label: 'the focus to the calls of the section, or to the first of the sheet',
    chords: ['Alt+S'],
  },
  { id: 'draft', label: 'draft the open sections', chords: ['Alt+O'] },
  { id: 'print', label: 'print preview', chords: ['Alt+P'] },
  { id: 'below', label: 'the focus to the next call', chords: ['ArrowDown'], focused: true },
  { id: 'above', label: 'the focus to the call before', chords: ['ArrowUp'], focused: true },
  { id: 'mark', label: 'mark the focused call, or not', chords: [' '], focused: true },
  { id: 'markBelow', label: 'mark on to the next call', chords: ['Shift+ArrowDown'], focused: true },
  { id: 'markAbove', label: 'mark on to the call before', chords: ['Shift+ArrowUp'], focused: true },
  { id: 'all', label: 'mark the section of the focused call', chords: ['Mod+A'], focused: true },
  { id: 'none', label: 'mark none', chords: ['Escape'], focused: true },
  { id: 'copy', label: 'copy the marked calls, or the focused one', chords: ['Mod+C'], focused: true },
  { id: 'cut', label: 'cut them', chords: ['Mod+X'], focused: true },
  {
    id: 'paste',
    label: 'paste calls after the focused one, from a sheet or a spreadsheet',
    chords: ['Mod+V'],
    focused: true,
  },
  { id: 'notes', label: 'notes of the focused call', chords: ['Enter'], focused: true },
  { id: 'up', label: 'move the focused call up', chords: ['Alt+ArrowUp'], focused: true },
  { id: 'down', label: 'move the focused call down', chords: ['Alt+ArrowDown'], focused: true },
  {
    id: 'remove',
    label: 'take the marked calls, or the focused one, off the sheet',
    chords: ['Delete', 'Backspace'],
    focused: true,
  },
] as const satisfies readonly CommandSpec[];
