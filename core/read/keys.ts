/**
 * The men who are read: what each did, what he did on the last four snaps on which it is charted, and what answered it
 * best. Three of the last four the same: the decision that made the most of it is named, with its count, or that nobody
 * has tried one yet (a rule of ours; three and four are common practice).
 */
import { READ_DECISIONS } from '../snap/snap';
import type { BesideCell, BesideColumn } from './beside';
import { groupBy } from './cells';
import { FIRST_VALUE, type Columns } from './columns';
import type { JudgedTable } from './judged';
import { NO, outcomeOf, YES } from './outcomes';
import { rateOf, type Rate } from './rates';
import { partTitle } from './sections';

const LAST = 4;
const OF_LAST = 3;
const COLUMNS: readonly BesideColumn[] = [
  { key: 'concept', label: 'play', kind: 'word' },
  { key: 'read_key', label: 'man read', kind: 'word' },
  { key: 'n', label: 'n', kind: 'count' },
  { key: 'key_action', label: 'what he does most', kind: 'word' },
  { key: 'share', label: 'of his snaps', kind: 'rate' },
  { key: 'last', label: 'the last four, newest last', kind: 'word' },
  { key: 'decision', label: 'what answers it', kind: 'word' },
  { key: 'success', label: 'successful', kind: 'rate' },
];

/** The most used plays first. Rows in the order of the games. Linear. */
export function keysTable(columns: Columns, rows: Uint32Array): JudgedTable {
  const { keyAction, readDecision } = columns.text;
  const said = outcomeOf(columns, 'success');
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
    const answers = READ_DECISIONS.flatMap((decision) => {
      const code = readDecision.codeOf.get(decision);
      const tried = when.filter(
        (row) => code !== undefined && readDecision.codes[row] === code && said[row]! <= YES,
      );
      const hit = tried.filter((row) => said[row] === YES);
      const rate = rateOf(
        columns.weight,
        hit,
        tried.filter((row) => said[row] === NO),
      );
      return tried.length === 0 ? [] : [{ decision, rate, tried }];
    }).sort((a, b) => b.rate.low! - a.rate.low! || b.rate.n - a.rate.n);
    const best: { decision: string; rate: Rate; tried: Uint32Array } | undefined = answers[0];
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
      lately === null ? null : best ? `${best.decision} against ${lately}` : `none tried against ${lately}`,
      lately === null || !best ? null : best.rate,
    ]);
    behind.push([null, null, mine, null, most.rows, mine.slice(-LAST), null, best?.tried ?? null]);
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
