import type { MissingSetup } from '@/core/plan';

interface SetupsMissingProps {
  readonly missing: readonly MissingSetup[];
  readonly numbers: ReadonlyMap<string, number>;
  readonly onReel: (name: string) => void;
}

/** Plays whose set-up was not shown often enough and does not stand before them. */
export function SetupsMissing({ missing, numbers, onReel }: SetupsMissingProps) {
  if (missing.length === 0) return null;
  return (
    <ul className="card plainlist" aria-label="Set-ups that are missing">
      {missing.map(({ call, link: { link, play, rows } }) => (
        <li key={`${call.id}${link.play}`} className="flag">
          <strong>{call.play.name}</strong> needs its set-up: {play?.name ?? 'a play that is gone'} has been{' '}
          <button type="button" className="plain" onClick={() => onReel(`${link.play}|link`)}>
            shown {rows.length}
          </button>{' '}
          of {link.least} {link.least === 1 ? 'time' : 'times'} and stands nowhere before call{' '}
          {numbers.get(call.id)}.
        </li>
      ))}
    </ul>
  );
}
