'use client';
/** Commands of a screen made on the server: each leads to an address, or with # to the first field of a part of it. */
import { useRouter } from 'next/navigation';
import { useScreenCommands } from './commands';
import type { CommandSpec, Runs } from './screen-commands/spec';

interface ScreenLinksProps<L extends readonly CommandSpec[]> {
  readonly commands: L;
  /** A command without an address is not offered. */
  readonly to: Readonly<Partial<Record<L[number]['id'], string | null>>>;
}

export function ScreenLinks<L extends readonly CommandSpec[]>({ commands, to }: ScreenLinksProps<L>) {
  const router = useRouter();
  const go = (address: string): void =>
    address.startsWith('#') ? focusIn(address.slice(1)) : router.push(address);
  const runs = Object.fromEntries(
    Object.entries<string | null | undefined>(to).map(([id, address]) => [
      id,
      address ? () => go(address) : undefined,
    ]),
  ) as Runs<L>;
  useScreenCommands(commands, runs);
  return null;
}

/** Puts the caret into the first field of a part of the page. */
export function focusIn(id: string): void {
  document.getElementById(id)?.querySelector<HTMLElement>('select, input:not([type=hidden])')?.focus();
}
