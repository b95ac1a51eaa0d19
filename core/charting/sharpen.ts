/** What would sharpen the report most: how far the 95 % interval of a field's most usual value would narrow. */
import { wilson } from '../read';
import type { WalkedSnap } from '../rules';
import { isTagged, SNAP_FIELDS, type SnapFact } from '../snap';
import { asked, isCharted, rowsOf, type ChartPass } from './passes';
import { valueWords } from './words';

export interface Sharpened {
  readonly field: SnapFact;
  readonly label: string;
  readonly pass: ChartPass;
  /** Snaps where it is blank, of those where it is asked. */
  readonly blank: number;
  readonly of: number;
  /** Its most usual value so far, with its count. */
  readonly value: string | null;
  readonly k: number;
  readonly n: number;
  /** Half the width of its interval now and when every snap has it, in points of a hundred; the share staying what it is. */
  readonly now: number;
  readonly then: number;
  /** Points gained for ten snaps charted. */
  readonly perTen: number;
}

const half = (k: number, n: number): number => {
  if (n === 0) return 50;
  const { low, high } = wilson(k, n);
  return ((high! - low!) / 2) * 100;
};

/** `mostOf`: fields of one pass, at most; the first to be charted say enough of it. */
export function sharpen(
  passes: readonly ChartPass[],
  rows: readonly WalkedSnap[],
  mostOf = Infinity,
): Sharpened[] {
  const out = new Map<SnapFact, Sharpened>();
  for (const pass of passes) {
    const over = askedOf(pass, rows);
    for (const field of pass.fields) {
      const { kind, label } = SNAP_FIELDS[field];
      if (
        out.has(field) ||
        (kind === 'text' && !SNAP_FIELDS[field].terms) ||
        kind === 'list' ||
        kind === 'flag' ||
        kind === 'numbers'
      )
        continue;
      const asking = over.filter(({ fields }) => fields.has(field));
      const blank = asking.filter(({ snap }) => !isCharted(snap, field)).length;
      if (blank === 0) continue;
      const counts = new Map<unknown, number>();
      let n = 0;
      for (const { snap } of asking) {
        const value = snap[field] as string | number | null;
        if (!isTagged(value)) continue;
        counts.set(value, (counts.get(value) ?? 0) + 1);
        n++;
      }
      const [value, k] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [null, 0];
      // Never seen: the widest an interval can be.
      const share = n === 0 ? 0.5 : k / n;
      const [now, then] = [half(k, n), half(Math.round(share * (n + blank)), n + blank)];
      out.set(field, {
        field,
        label,
        pass,
        blank,
        of: asking.length,
        value: value === null ? null : valueWords(value),
        k,
        n,
        now,
        then,
        perTen: ((now - then) / blank) * 10,
      });
    }
  }
  const shown = new Map<ChartPass, number>();
  return [...out.values()]
    .sort((a, b) => b.perTen - a.perTen || a.label.localeCompare(b.label))
    .filter(({ pass }) => {
      const n = (shown.get(pass) ?? 0) + 1;
      shown.set(pass, n);
      return n <= mostOf;
    });
}

export interface SharpenedFilm extends Sharpened {
  /** Where it is blank: games with how many of their snaps, the most first. */
  readonly where: readonly { readonly game: string; readonly blank: number }[];
}

/** The same over several games together; the parts by game sum to the blanks. */
export function sharpenFilm(
  passes: readonly ChartPass[],
  games: readonly { readonly key: string; readonly rows: readonly WalkedSnap[] }[],
  mostOf = Infinity,
): SharpenedFilm[] {
  const all = sharpen(
    passes,
    games.flatMap((g) => g.rows),
    mostOf,
  );
  const over = new Map(
    [...new Set(all.map((one) => one.pass))].map((pass) => [
      pass,
      games.map(({ key, rows }) => ({ key, asking: askedOf(pass, rows) })),
    ]),
  );
  return all.map((one) => ({
    ...one,
    where: over
      .get(one.pass)!
      .map(({ key, asking }) => ({
        game: key,
        blank: asking.filter(({ snap, fields }) => fields.has(one.field) && !isCharted(snap, one.field))
          .length,
      }))
      .filter(({ blank }) => blank > 0)
      .sort((a, b) => b.blank - a.blank || a.game.localeCompare(b.game)),
  }));
}

/** Snaps a pass looks at, with the fields it asks of each. */
const askedOf = (pass: ChartPass, rows: readonly WalkedSnap[]) =>
  rowsOf(pass, rows).map(({ snap }) => ({ snap, fields: new Set(asked(pass, snap)) }));
