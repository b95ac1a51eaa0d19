import { expect, it } from 'vitest';
import { LOG_COMMANDS } from '../../../core/log';
import { SCREEN_COMMANDS } from './all';
import { FRAME_COMMANDS } from './frame';
import type { CommandSpec } from './spec';

const screens: readonly (readonly [string, readonly CommandSpec[]])[] = [
  ...Object.entries(SCREEN_COMMANDS),
  ['Log', LOG_COMMANDS.map((c) => ({ id: c.id, label: c.label, chords: c.keys }))],
];

it.each(screens)('%s: a key does one thing, and none of the frame’s', (_, commands) => {
  const chords = [...FRAME_COMMANDS, ...commands].flatMap((c) => c.chords);
  expect(new Set(chords).size).toBe(chords.length);
  expect(new Set(commands.map((c) => c.id)).size).toBe(commands.length);
});

it.each(screens)('%s: no letter or figure is a key by itself', (_, commands) => {
  for (const chord of commands.flatMap((c) => c.chords)) expect(chord).not.toMatch(/^(Shift\+)?[A-Za-z0-9]$/);
});
