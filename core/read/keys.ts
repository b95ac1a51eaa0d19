/**
 * The men who are read: what each did, what he did on the last four snaps on which it is charted, and what answered it
 * best. Three of the last four the same: the decision that made the most of it is named, with its count, or that nobody
 * has tried one yet (a rule of ours; three and four are common practice).
 */
import { READ_DECISIONS } from '../snap/snap';
import { N, rate, word, type BesideCell } from './beside-table';
import { groupBy } from './cells';
import { FIRST_VALUE, type Columns } from './columns';
import type { JudgedTable } from './judged';
import { rateAmong } from './outcomes';
import { rateOf } from './rates';
import { partTitle } from './sections';

const LAST = 4;
const OF_LAST = 3;
const COLUMNS = [
  word('concept', 'play'),
  word('read_key', 'man read'),
  N,
  word('key_action', 'what he does most'),
  rate('share', 'of his snaps'),
  word('last', 'the last four, newest last'),
  word('decision', 'what answers it'),
  rate('success', 'successful'),
];

/** The most used plays first. Rows in the order of the games. Linear. */
export function keysTable(columns: Columns, rows: Uint32Array): JudgedTable {
  const { keyAction, readDecision } = columns.text;
  const charted = rows.filter((row) => keyAction.codes[row]! >= FIRST_VALUE);
  const action = (row: number): string => keyAction.words[keyAction.codes[row]!]!;
  const out: BesideCell[][] = [];
  const behind: (Uint32Array | null)[][] = [];
  for (const { words, rows: own } of groupBy(columns, charted, ['concept', 'readKey'])) {
    const mine = own.slice().sort();
    const most = groupBy(columns, mine, ['keyAction'])[0]!;
    const last = [...mine.slice(-LAST)].map(action);
    const lately = last.find((a) => last.filter((b) => b === a).length >= OF_LAST) ?? null;
    const when = lately === null ? mine.subarray(0, 0) : mine.filter((row) => action(row) === lately);
    const tried = READ_DECISIONS.flatMap((decision) => {
      const code = readDecision.codeOf.get(decision);
      const rows = when.filter((row) => readDecision.codes[row] === code);
      return rows.length === 0 ? [] : [{ decision, ...rateAmong(columns, rows, 'success') }];
    });
    const [best] = tried
      .filter((t) => t.rate.n > 0)
      .sort((a, b) => b.rate.low! - a.rate.low! || b.rate.n - a.rate.n);
    const answer = best?.decision ?? (tried.length === 0 ? 'none tried' : 'none judged');
    out.push([
      words[0]!,
      words[1]!,
      mine.length,
      most.words[0]!,
      rateOf(
        columns.weight,
        most.rows,
        mine.filter((row) => action(row) !== most.words[0]),
      ),
      last.join(', '),
      lately === null ? null : `${answer} against ${lately}`,
      best?.rate ?? null,
    ]);
    behind.push([null, null, mine, null, most.rows, mine.slice(-LAST), null, best?.hits ?? null]);
  }
  return {
    id: 'keys',
    title: partTitle('keys'),
    note: `an answer is named where ${OF_LAST} of the last ${LAST} are the same: the decision whose success has the highest low bound`,
    columns: COLUMNS,
    rows: out,
    behind,
  };
}
