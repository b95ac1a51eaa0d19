'use client';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useState, type ReactNode } from 'react';
import type { StaffRules } from '@/core/read/staff-rules';
import { SyncProvider } from '@/client/SyncProvider';
import { CommandsProvider } from './shared/commands';
import { PaletteKey } from './shared/PaletteKey';
import { ToastsProvider } from './shared/toasts';
import { KeptReelsContext, type KeptReels } from './read/reels/KeptReels';
import { StaffRulesContext } from './StaffRules';
import { Notices } from './sync/Notices';
import { SaveStatus } from './sync/SaveStatus';
import { SignOut } from './sync/SignOut';

/** Only verbs that do something stand here. */
const VERBS = [
  { href: '/log', label: 'Log' },
  { href: '/read', label: 'Read' },
  { href: '/plan', label: 'Plan' },
  { href: '/rep', label: 'Rep' },
] as const;
const ROOMS = [
  { href: '/book', label: 'Book' },
  { href: '/staff', label: 'Staff' },
] as const;

/** Places without a link of their own in the frame. */
const MORE = [
  { href: '/log/import', label: 'Import a file' },
  { href: '/book/draw', label: 'Draw a formation' },
  { href: '/book?kind=plays', label: 'Play list' },
] as const;

export interface FrameProps {
  readonly owner: string;
  readonly epoch: string;
  readonly may: { readonly football: boolean; readonly staff: boolean };
  readonly opponent: string | null;
  readonly week: string;
  readonly member: string;
  readonly rules: StaffRules;
  /** Null: the member keeps no reels. */
  readonly reels: KeptReels | null;
  readonly signOut: () => Promise<string | null>;
  readonly children: ReactNode;
}

/** The first moments of a page are its own; then what its links lead to is asked for. */
const ASK_AHEAD_MS = 2500;
function useAhead(): boolean {
  const [ahead, setAhead] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setAhead(true), ASK_AHEAD_MS);
    return () => clearTimeout(timer);
  }, []);
  return ahead;
}

export function Frame(props: FrameProps) {
  const { owner, epoch, may, opponent, week, member, rules, reels, signOut, children } = props;
  const path = usePathname();
  const prefetch = useAhead() ? null : false;
  const link = (href: string, label: string) => (
    <Link
      key={href}
      href={href}
      prefetch={prefetch}
      aria-current={path === href || path.startsWith(`${href}/`) ? 'page' : undefined}
    >
      {label}
    </Link>
  );
  const rooms = ROOMS.filter((v) => (v.href === '/book' ? may.football : may.staff));
  const screens = [
    { href: '/', label: 'The week' },
    ...(may.football ? VERBS : []),
    ...rooms,
    ...(may.football ? MORE : []),
  ];
  return (
    <SyncProvider owner={owner} epoch={epoch} football={may.football}>
      <ToastsProvider>
        <CommandsProvider>
          <div className="frame">
            <a className="skip" href="#main">
              to the page
            </a>
            <header className="top">
              <Link
                href="/"
                prefetch={prefetch}
                className="week"
                aria-label={`The week: ${opponent ?? 'no opponent chosen'}, ${week}`}
              >
                <strong>{opponent ?? 'No opponent chosen'}</strong>
                <span className="small quiet">{week}</span>
              </Link>
              <nav aria-label="Work">
                {may.football && VERBS.map((v) => link(v.href, v.label))}
                <span className="gap" aria-hidden="true" />
                {rooms.map((v) => link(v.href, v.label))}
              </nav>
              <div className="right">
                <SaveStatus />
                <PaletteKey screens={screens} football={may.football} />
                <span>{member}</span>
                <SignOut signOut={signOut} />
              </div>
            </header>
            <main id="main" className="page">
              <Notices epoch={epoch} />
              <StaffRulesContext.Provider value={rules}>
                <KeptReelsContext.Provider value={reels}>{children}</KeptReelsContext.Provider>
              </StaffRulesContext.Provider>
            </main>
          </div>
        </CommandsProvider>
      </ToastsProvider>
    </SyncProvider>
  );
}
