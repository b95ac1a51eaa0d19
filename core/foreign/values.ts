/** One cell of another staff's table: what it says, or why it says nothing. */
import { fieldOfColumn, type SnapField } from '../snap';
import {
  jersey,
  number,
  readClock,
  readDistance,
  readDown,
  readDownDistance,
  readGain,
  readPersonnel,
  readPlayer,
  readQuarter,
  readSpot,
} from './figures';
import type { Target } from './headings';
import { readPlay, readResult } from './outcomes';
import { no, yes, type Cell, type CellContext, type Reading } from './reading';
import { readConcept, readWords, SIDE_WORDS } from './words';

const HASH_WORDS: Readonly<Record<string, 'L' | 'M' | 'R'>> = {
  l: 'L',
  left: 'L',
  lh: 'L',
  lt: 'L',
  '1': 'L',
  m: 'M',
  mid: 'M',
  middle: 'M',
  c: 'M',
  center: 'M',
  mof: 'M',
  '2': 'M',
  r: 'R',
  right: 'R',
  rh: 'R',
  rt: 'R',
  '3': 'R',
};
function readTeam(text: string): Cell {
  const letter = /^(o|d|k|s)$/i.exec(text)?.[1]?.toUpperCase();
  if (letter) return yes({ phase: letter === 'S' ? 'K' : (letter as 'O' | 'D' | 'K') });
  const word = /^(off|offense|def|defense|kick|kicking|special|special teams|st)$/i
    .exec(text)?.[1]
    ?.toLowerCase();
  if (word) return yes({ phase: word.startsWith('off') ? 'O' : word.startsWith('def') ? 'D' : 'K' });
  return yes({ team: text });
}

const side =
  (field: SnapField) =>
  (text: string): Cell => {
    const plain = text.toLowerCase();
    if (/^(-|m|mid|middle|even|bal(anced)?|n\/?a|none)$/.test(plain)) return yes({});
    const found = SIDE_WORDS[plain.split(' ')[0]!];
    return found ? yes({ [field]: found } as Reading) : no('is neither left nor right');
  };

const READERS: Readonly<Record<Target, (text: string, c: CellContext) => Cell>> = {
  to_goal: number('toGoal'),
  order: (text) => (/^\d{1,5}(\.\d+)?$/.test(text) ? yes({ order: Number(text) }) : no('is no number')),
  game: (text) => yes({ game: text }),
  date: (text) => yes({ date: text }),
  quarter: readQuarter,
  clock: readClock,
  team: readTeam,
  offense: (text) => yes({ offenseTeam: text }),
  defense: (text) => yes({ defenseTeam: text }),
  down_distance: readDownDistance,
  down: readDown,
  distance: readDistance,
  spot: readSpot,
  hash: (text) => {
    const hash =
      HASH_WORDS[
        text
          .toLowerCase()
          .replace(/\.0+$/, '')
          .replace(/ hash$/, '')
      ];
    return hash ? yes({ hash }) : text === '-' ? yes({}) : no('is neither left, middle nor right');
  },
  personnel: readPersonnel,
  formation: (text, c) => readWords(text, ['formation', 'backfield', 'motion'], c),
  formation_side: side('formationSide'),
  backfield: (text, c) => readWords(text, ['backfield'], c),
  motion: (text, c) => readWords(text, ['motion'], c),
  play: readPlay,
  concept: readConcept,
  direction: side('direction'),
  protection: (text, c) => readWords(text, ['protection'], c),
  front: (text, c) => readWords(text, ['front'], c),
  coverage: (text, c) => readWords(/^\d$/.test(text) ? `cover ${text}` : text, ['coverage'], c),
  pressure: (text, c) =>
    /^(no|n|0)$/i.test(text) ? yes({ pressure: '-' }) : readWords(text, ['pressure'], c),
  box: number('box'),
  tempo: (text, c) => readWords(text, ['tempo'], c),
  gain: readGain,
  result: readResult,
  player: readPlayer,
  carrier: jersey('carrier'),
  passer: jersey('passer'),
  target: jersey('target'),
  kicker: jersey('kicker'),
  returner: jersey('returner'),
  tacklers: (text) => {
    const numbers = text.split(/[,;/& ]+/).map((part) => part.replace(/^#/, ''));
    return numbers.every((n) => /^\d{1,2}$/.test(n))
      ? yes({ tacklers: numbers })
      : no('are no numbers, 0 to 99');
  },
  kick_yards: number('kickYards'),
  return_yards: number('returnYards'),
  points_for: number('pointsFor'),
  points_against: number('pointsAgainst'),
  note: (text) => yes({ note: text }),
};

/** Reads a cell that is not blank. Never throws. */
export function readCell(target: Target, text: string, c: CellContext): Cell {
  // Words, downs and sides repeat: each is read once.
  const key = `${target}|${text}`;
  let cell = c.read.get(key);
  if (!cell)
    c.read.set(key, (cell = (READERS[target] ?? number(fieldOfColumn(target) as SnapField))(text, c)));
  return cell;
}
