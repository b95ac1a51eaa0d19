/** Run, pass and kick, and what came of it, in the words of many staffs (common practice). */
import { readGain } from './figures';
import { no, yes, type Cell, type Reading } from './reading';

const PLAYS: readonly (readonly [RegExp, Reading])[] = [
  [/^(r|run|rush|rushing|ground|g)$/, { play: 'run', unit: 'scrimmage' }],
  [
    /^(p|pass|passing|throw|dropback|drop back|pa|play action|screen|air|boot)$/,
    { play: 'pass', unit: 'scrimmage' },
  ],
  [/^(rpo|run[- ]?pass( option)?|r\/p)$/, { play: 'rpo', unit: 'scrimmage' }],
  [/^(punt|pt)$/, { unit: 'punt' }],
  [/^(fg|field ?goal)$/, { unit: 'field_goal' }],
  [/^(ko|k\/o|kick ?off)$/, { unit: 'kickoff' }],
  [/^(pat|xp|xpt|extra ?point|try|2 ?pt|two ?point)$/, { unit: 'try' }],
  [/^(s|st|k|special|special teams?|kick|kicking)$/, { phase: 'K' }],
  [/^(pen|penalty|no ?play|np)$/, { result: 'no_play' }],
  [/^(kneel|knee|victory)$/, { play: 'other', result: 'kneel', unit: 'scrimmage' }],
  [/^(spike)$/, { play: 'other', result: 'spike', unit: 'scrimmage' }],
  [/^(scramble)$/, { play: 'pass', result: 'scramble', unit: 'scrimmage' }],
  [/^(sack)$/, { play: 'pass', result: 'sack', unit: 'scrimmage' }],
  [/^(-|n\/?a|other|misc)$/, {}],
];
export function readPlay(text: string): Cell {
  const plain = text.toLowerCase();
  for (const [words, value] of PLAYS) if (words.test(plain)) return yes(value);
  return no('is neither run nor pass nor a kick');
}

const RESULTS: readonly (readonly [RegExp, Reading])[] = [
  [/^(rush|run|gain|tackled?|tkl|no gain|loss|down|first down|1st|1st down|oob|out of bounds|good run)$/, {}],
  [/^(c|comp|complete|completion|caught|catch)$/, { result: 'complete', play: 'pass' }],
  [/^(i|inc|incomp|incomplete|incompletion)$/, { result: 'incomplete', play: 'pass', gain: 0 }],
  [/^(drop|dropped)$/, { result: 'incomplete', play: 'pass', gain: 0, incompleteCause: 'dropped' }],
  [
    /^(pbu|broken up|defended|pass defended)$/,
    { result: 'incomplete', play: 'pass', gain: 0, incompleteCause: 'defended' },
  ],
  [
    /^(throw ?away|thrown away)$/,
    { result: 'incomplete', play: 'pass', gain: 0, incompleteCause: 'thrown_away' },
  ],
  [/^(sack|sacked)$/, { result: 'sack', play: 'pass' }],
  [/^(scramble|scrambled)$/, { result: 'scramble', play: 'pass' }],
  [
    /^(int|interception|intercepted|picked|pick)$/,
    { result: 'incomplete', turnover: 'interception', play: 'pass', gain: 0 },
  ],
  [/^(fum|fumble|fumble lost|lost fumble)$/, { turnover: 'fumble', fumble: 'lost' }],
  [/^(fumble kept|fumble recovered)$/, { fumble: 'kept' }],
  [/^(td|touchdown|score)$/, { score: 'touchdown' }],
  [/^(safety)$/, { score: 'safety' }],
  [/^(pen|penalty|flag|no play|nullified)$/, { result: 'no_play' }],
  [/^(kneel|knee)$/, { result: 'kneel', play: 'other' }],
  [/^(spike)$/, { result: 'spike', play: 'other' }],
  [/^(good|made)$/, { kickEnd: 'good' }],
  [/^(no good|missed|miss|ng|wide|short)$/, { kickEnd: 'missed' }],
  [/^(blocked|block)$/, { kickEnd: 'blocked' }],
  [/^(fc|fair catch)$/, { kickEnd: 'fair_catch' }],
  [/^(tb|touchback)$/, { kickEnd: 'touchback' }],
  [/^(downed)$/, { kickEnd: 'downed' }],
  [/^(ret|return|returned)$/, { kickEnd: 'returned' }],
  [/^(punt)$/, { unit: 'punt' }],
  [/^(kick ?off)$/, { unit: 'kickoff' }],
  [/^(-|n\/?a)$/, {}],
];
export function readResult(text: string): Cell {
  let value: Reading = {};
  for (const part of text.toLowerCase().split(/[,;/+]| - /)) {
    const word = part.trim();
    if (word === '') continue;
    const known = RESULTS.find(([words]) => words.test(word));
    if (!known) {
      const gain = readGain(word);
      if (!gain.ok) return no('is no result this reader knows');
      value = { ...value, ...gain.value };
    } else value = { ...value, ...known[1] };
  }
  return yes(value);
}
