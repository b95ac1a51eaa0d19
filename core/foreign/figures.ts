/** Downs, distances, spots, gains, groupings, clocks and numbers as people write them. Tie-breaks stand where they are made. */
import { readFieldText, type SnapField } from '../snap';
import { no, yes, type Cell, type CellContext, type Reading } from './reading';

const DIGIT_LIKE: Readonly<Record<string, string>> = {
  l: '1',
  I: '1',
  '|': '1',
  O: '0',
  o: '0',
  S: '5',
  B: '8',
};
/** A figure with a letter where a digit belongs: "3l" is likely 31. */
const likelyNumber = (text: string): string | null => {
  if (!/\d/.test(text)) return null;
  const digits = [...text].map((c) => DIGIT_LIKE[c] ?? c).join('');
  return /^[+-]?\d+$/.test(digits) ? digits : null;
};

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
/** Day and month of a cell that is a date, or reads like one: 2026-10-01, 1-Oct, Oct 1, Oct-40 (a year), 10/1/2026. */
export function dateParts(text: string): { month: number; day: number } | null {
  const iso = /^(\d{4})-(\d{2})-(\d{2})(?: .*)?$/.exec(text);
  if (iso) {
    const [year, month, day] = [Number(iso[1]), Number(iso[2]), Number(iso[3])];
    // "1-40" is January of 1940 to a spreadsheet.
    return day === 1 && year >= 1932 && year < 2000 ? { month, day: year - 1900 } : { month, day };
  }
  const named = /^(?:(\d{1,2})[-. /]+([a-z]{3})[a-z]*|([a-z]{3})[a-z]*[-. /]+(\d{1,2}))\.?$/i.exec(text);
  if (named) {
    const month = MONTHS.indexOf((named[2] ?? named[3])!.toLowerCase()) + 1;
    return month === 0 ? null : { month, day: Number(named[1] ?? named[4]) };
  }
  const slashed = /^(\d{1,2})\/(\d{1,2})\/(\d{2,4})$/.exec(text);
  return slashed ? { month: Number(slashed[1]), day: Number(slashed[2]) } : null;
}

const DOWN_WORDS: Readonly<Record<string, number>> = {
  first: 1,
  second: 2,
  third: 3,
  fourth: 4,
  '1st': 1,
  '2nd': 2,
  '3rd': 3,
  '4th': 4,
  '1': 1,
  '2': 2,
  '3': 3,
  '4': 4,
};

export function readDown(text: string): Cell {
  const plain = text
    .toLowerCase()
    .replace(/\.0+$/, '')
    .replace(/ down$/, '');
  const down = DOWN_WORDS[plain];
  if (down !== undefined) return yes({ down });
  if (/^(0|-|ko|kick|kickoff|pat|xp|try|n\/?a)$/.test(plain)) return yes({});
  return no('is no down, 1 to 4');
}

export function readDistance(text: string): Cell {
  const plain = text
    .toLowerCase()
    .replace(/\.0+$/, '')
    .replace(/ ?(yds?|yards?)\.?$/, '')
    .replace(/^& ?/, '');
  if (/^(g|gl|goal)$/.test(plain)) return yes({ goalToGo: true });
  if (/^(in|inches|<1)$/.test(plain)) return yes({ distance: 1 });
  if (/^\d{1,2}$/.test(plain) && Number(plain) > 0) return yes({ distance: Number(plain) });
  if (/^(0|-|n\/?a)$/.test(plain)) return yes({});
  const likely = likelyNumber(text);
  return no(likely ? 'a letter where a digit belongs' : 'is no distance, 1 to 99', likely ?? undefined);
}

export function readDownDistance(text: string, c: CellContext): Cell {
  const plain = text.toLowerCase();
  const parts =
    /^(1st|2nd|3rd|4th|first|second|third|fourth|[1-4]) ?(?:down)? ?(?:&|and|-|\/|x|\+|,| ) ?(\d{1,2}|g|goal|gl|in|inches)\.?$/.exec(
      plain,
    );
  if (parts) {
    const distance = readDistance(parts[2]!);
    return distance.ok ? yes({ down: DOWN_WORDS[parts[1]!]!, ...distance.value }) : distance;
  }
  const date = dateParts(text);
  if (date) {
    const [down, distance] = c.dateOrder === 'month' ? [date.month, date.day] : [date.day, date.month];
    if (down >= 1 && down <= 4) return yes({ down, distance, fromDate: true });
    if (distance >= 1 && distance <= 4) return yes({ down: distance, distance: down, fromDate: true });
  }
  if (/^(-|ko|kick|kickoff|pat|xp|try|n\/?a|0)$/.test(plain)) return yes({});
  return no('is no down and distance such as 2nd & 7');
}

export function readSpot(text: string, c: CellContext): Cell {
  const plain = text.replace(/ ?(yds?|yards?|yd ?line|yard ?line)\.?$/i, '').replace(/^(at|on|the) /i, '');
  const number = /^([+-]?)(\d{1,2})(?:\.0+)?$/.exec(plain);
  if (number) {
    const yard = Number(number[2]);
    if (yard === 50) return yes({ spot: { half: 'middle', yard } });
    if (yard < 1) return no('is no yard line, 1 to 50');
    if (yard > 50)
      return number[1] === '' && !c.signedSpots ? yes({ toGoal: 100 - yard }) : no('is past the 50');
    if (number[1] !== '') return yes({ spot: { half: number[1] === '-' ? 'own' : 'their', yard } });
    // Where signs are used, a bare one is the other half: a spreadsheet drops the plus.
    return c.signedSpots
      ? yes({ spot: { half: 'their', yard } })
      : no('does not say whose half; write own or opp');
  }
  const named =
    /^(.*?[^0-9 +-])[ +-]*(\d{1,2})(?:\.0+)?$/.exec(plain) ?? /^(\d{1,2}) ([a-z].*)$/i.exec(plain);
  if (named) {
    const [half, figure] = /^\d+$/.test(named[1]!) ? [named[2]!, named[1]!] : [named[1]!, named[2]!];
    const yard = Number(figure);
    if (yard < 1 || yard > 50) return no('is no yard line, 1 to 50');
    if (yard === 50) return yes({ spot: { half: 'middle', yard } });
    const word = half.toLowerCase().replace(/[.:]$/, '');
    if (/^(own|o|our|us|my)$/.test(word)) return yes({ spot: { half: 'own', yard } });
    if (/^(opp|opponents?|their|them|t|x|opp\.)$/.test(word)) return yes({ spot: { half: 'their', yard } });
    return yes({ spot: { half: { team: half }, yard } });
  }
  if (/^(mid(field)?|50)$/i.test(plain)) return yes({ spot: { half: 'middle', yard: 50 } });
  const last = plain.split(' ').pop()!;
  const likely = likelyNumber(last);
  return no(
    likely ? `a letter where a digit belongs: ${likely}?` : 'is no yard line',
    likely ? text.slice(0, text.length - last.length) + likely : undefined,
  );
}

export function readPersonnel(text: string): Cell {
  const plain = text
    .toLowerCase()
    .replace(/\.0+$/, '')
    .replace(/ ?(personnel|pers\.?|people|grp|group|p)$/, '')
    .replace(/^p/, '')
    .trim();
  // A leading zero that a spreadsheet dropped.
  const digits = /^\d$/.test(plain) ? `0${plain}` : plain.replace(/^(\d)[-/ ](\d)$/, '$1$2');
  if (/^[0-5][0-5]$/.test(digits)) return yes({ personnel: digits });
  const likely = likelyNumber(text.trim());
  return no(
    'is no grouping of two digits such as 11',
    likely && /^[0-5][0-5]$/.test(likely) ? likely : undefined,
  );
}

/** Yards gained as text: 6, +6, "Gain 6", "6 yds", (3), "Loss 3", "Inc", "TD". */
export function readGain(text: string): Cell {
  const plain = text.toLowerCase().replace(/,$/, '');
  if (/^(inc|incomp|incomplete|inc\.)$/.test(plain)) return yes({ gain: 0, result: 'incomplete' });
  if (/^(td|touchdown)$/.test(plain)) return yes({ score: 'touchdown' });
  if (/^(ng|no gain|even|nil|none)$/.test(plain)) return yes({ gain: 0 });
  if (/^(int|interception)$/.test(plain))
    return yes({ gain: 0, result: 'incomplete', turnover: 'interception' });
  if (/^(-|n\/?a|pen|penalty)$/.test(plain)) return yes({});
  const worded =
    /^(?:(gain|gained|g|loss|lost|loss of|gain of|l) ?(?:of )?)?([+-]?)\(?([+-]?)(\d{1,2})(?:\.0+)?\)? ?(?:yds?|yards?)?\.?(?: ?(gain|loss|td))?$/.exec(
      plain,
    );
  if (!worded) {
    const likely = likelyNumber(text);
    return no(likely ? 'a letter where a digit belongs' : 'is no gain in yards', likely ?? undefined);
  }
  const lost =
    /^(l|loss|lost)/.test(worded[1] ?? '') ||
    worded[2] === '-' ||
    worded[3] === '-' ||
    plain.includes('(') ||
    worded[5] === 'loss';
  const yards = Number(worded[4]);
  return yes({
    gain: lost && yards !== 0 ? -yards : yards,
    ...(worded[5] === 'td' ? { score: 'touchdown' as const } : {}),
  });
}

export const number =
  (field: SnapField) =>
  (text: string): Cell => {
    const plain = text.replace(/^#|no\.? ?/i, '').replace(/\.0+$/, '');
    const read = readFieldText(field, plain);
    return read.ok
      ? yes({ [field]: read.value } as Reading)
      : no(`is not ${read.expected}`, likelyNumber(text) ?? undefined);
  };

export function readPlayer(text: string): Cell {
  const found = /^#?(\d{1,2})(?:\.0+)?(?: .*)?$/.exec(text);
  return found ? yes({ player: found[1]! }) : no('is no number, 0 to 99');
}
export const jersey =
  (field: SnapField) =>
  (text: string): Cell => {
    const read = readPlayer(text);
    return read.ok ? yes({ [field]: read.value.player } as Reading) : read;
  };

export function readClock(text: string): Cell {
  const found = /^(\d{1,2}):(\d{2})(?::00)?$/.exec(text.replace(/^0(?=\d:)/, ''));
  if (!found) return no('is no clock such as 8:41');
  const seconds = Number(found[1]) * 60 + Number(found[2]);
  return seconds <= 900 ? yes({ clock: seconds }) : no('is more than a quarter');
}

export function readQuarter(text: string): Cell {
  const plain = text
    .toLowerCase()
    .replace(/^q(uarter|tr)? ?|(st|nd|rd|th)? ?(quarter|qtr|q)?$/g, '')
    .replace(/\.0+$/, '');
  if (/^[1-9]$/.test(plain)) return yes({ quarter: Number(plain) });
  return /^ot$/.test(plain) ? yes({ quarter: 5 }) : no('is no quarter');
}
