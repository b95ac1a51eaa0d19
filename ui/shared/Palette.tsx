'use client';
/** Ctrl K: go to any screen, game, sheet, play or term, or run a command of the screen, by typing a part of its name. */
import Dialog from '@mui/material/Dialog';
import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { pathOf, type Place } from '@/core/exchange/places';
import { useCommands } from './commands';
import { chordWords } from './keys';

export interface PaletteProps {
  readonly screens: readonly { readonly href: string; readonly label: string }[];
  /** Whether the member may read football: else only screens and commands. */
  readonly football: boolean;
  readonly onClose: () => void;
}

const GROUPS: readonly (readonly [Place['kind'], string])[] = [
  ['game', 'Games'],
  ['sheet', 'Call sheets'],
  ['play', 'Plays'],
  ['term', 'Terms of the book'],
];

/** Every word typed stands somewhere in the name, in any order: nothing is guessed. */
const holdsEachWord = (value: string, search: string): number =>
  search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => value.toLowerCase().includes(word))
    ? 1
    : 0;

export default function Palette({ screens, football, onClose }: PaletteProps) {
  const router = useRouter();
  const commands = useCommands().filter((c) => !c.focused);
  const [places, setPlaces] = useState<readonly Place[] | null>(football ? null : []);
  const [trouble, setTrouble] = useState('');
  useEffect(() => {
    if (!football) return;
    const stop = new AbortController();
    void fetch('/api/places', { signal: stop.signal })
      .then(async (r) => (r.ok ? setPlaces((await r.json()) as Place[]) : Promise.reject(new Error())))
      .catch(() => {
        if (stop.signal.aborted) return;
        setPlaces([]);
        setTrouble('Games, plays and terms cannot be listed now; the server does not answer.');
      });
    return () => stop.abort();
  }, [football]);
  const go = (href: string): void => {
    onClose();
    router.push(href);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      maxWidth="sm"
      fullWidth
      slotProps={{ paper: { 'aria-label': 'Go to or do' } }}
    >
      <Command label="Go to or do" loop className="palette" filter={holdsEachWord}>
        <Command.Input autoFocus placeholder="a game, a play, a term, a screen, a command" />
        <Command.List aria-label="What can be opened or done" tabIndex={-1}>
          <Command.Empty>{places === null ? 'Looking …' : 'Nothing of that name.'}</Command.Empty>
          {commands.length > 0 && (
            <Command.Group heading="On this screen">
              {commands.map((screenCommand) => (
                <Command.Item
                  key={screenCommand.id}
                  value={`command ${screenCommand.label}`}
                  onSelect={() => {
                    onClose();
                    // The dialog gives the focus back first.
                    requestAnimationFrame(screenCommand.run);
                  }}
                >
                  <span>{screenCommand.label}</span>
                  {screenCommand.chords[0] && <kbd>{chordWords(screenCommand.chords[0])}</kbd>}
                </Command.Item>
              ))}
            </Command.Group>
          )}
          <Command.Group heading="Screens">
            {screens.map((screen) => (
              <Command.Item
                key={screen.href}
                value={`screen ${screen.label}`}
                onSelect={() => go(screen.href)}
              >
                <span>{screen.label}</span>
              </Command.Item>
            ))}
          </Command.Group>
          {GROUPS.map(([kind, heading]) => {
            const list = (places ?? []).filter((p) => p.kind === kind);
            return list.length === 0 ? null : (
              <Command.Group key={kind} heading={heading}>
                {list.map((place) => (
                  <Command.Item
                    key={place.key}
                    value={`${kind} ${place.name} ${place.what} ${place.key}`}
                    onSelect={() => go(pathOf(place))}
                  >
                    <span>{place.name}</span>
                    <span className="small quiet">{place.what}</span>
                  </Command.Item>
                ))}
              </Command.Group>
            );
          })}
        </Command.List>
        {trouble && (
          <p className="small flagtext" role="alert">
            {trouble}
          </p>
        )}
      </Command>
    </Dialog>
  );
}
