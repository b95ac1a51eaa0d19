/** Words that open a phrase: punts and kicks, sacks, turnovers, tries, penalties. */
import { findPenalty } from '../field/profile';
import { decodeSpot } from '../field/spot';
import { SNAP_FIELDS } from '../snap/fields';
import type { Penalty, PenaltyTeam } from '../snap/snap';
import { KICK_WORDS, WORDS, type Head } from './grammar';
import type { Piece, Resolver } from './resolver';
import type { Range, Token } from './tokenize';

export function headWord(r: Resolver, head: Head, operands: readonly Token[], range: Range): void {
  const words = operands.map((o) => o.word);
  const kind: Piece['kind'] =
    head === 'drop' || head === 'box' || head === 'shell' || head === 'rush' ? 'term' : 'result';
  if (head === 'pen') return penalty(r, operands, range);
  let returning = false;
  const shared = (token: Token): boolean => {
    const { word } = token;
    if (returning) {
      returning = false;
      return r.set('returnYards', Number(word), token);
    }
    if (word === WORDS.ret) return (returning = true);
    if (word.startsWith('>')) {
      const spot = decodeSpot(word.slice(1))!;
      r.deadRange = token;
      return r.set('deadToGoal', spot.toGoal, token) && (!spot.hash || r.set('deadHash', spot.hash, token));
    }
    if (word.startsWith('#')) return r.set('returner', word.slice(1), token);
    if (word in KICK_WORDS && head !== 'fum') return r.set('kickEnd', KICK_WORDS[word]!.kickEnd!, token);
    return false;
  };
  switch (head) {
    case 'drop':
    case 'box':
    case 'shell':
    case 'rush': {
      const field = { drop: 'drop', box: 'box', shell: 'shell', rush: 'rushers' }[head] as
        'drop' | 'box' | 'shell' | 'rushers';
      const spec = SNAP_FIELDS[field];
      if (words.length === 0)
        return r.problem('lonely', range, { needs: `after it: a number, ${spec.min} to ${spec.max}` });
      const n = Number(words[0]);
      if (n < spec.min! || n > spec.max!)
        return r.problem('bad-value', range, {
          value: words[0]!,
          field: spec.label,
          expected: `a number from ${spec.min} to ${spec.max}`,
        });
      if (!r.set(field, n, range)) return;
      break;
    }
    case 'sack':
      if (!r.set('result', 'sack', range)) return;
      for (const o of operands)
        if (
          !shared(o) &&
          !r.set(
            'gain',
            o.word.startsWith('+') || o.word.startsWith('-') ? Number(o.word) : -Number(o.word),
            o,
          )
        )
          return;
      break;
    case 'int':
      if (!r.set('turnover', 'interception', range) || !r.set('result', 'incomplete', range)) return;
      for (const o of operands) if (!shared(o) && !r.set('turnoverYards', Number(o.word), o)) return;
      break;
    case 'fum':
      if (words.includes(WORDS.lost)) {
        if (!r.set('turnover', 'fumble', range)) return;
        r.fields.fumble = 'lost';
      } else if (!r.set('fumble', 'kept', range)) return;
      for (const o of operands)
        if (o.word === 'tb') r.set('kickEnd', 'touchback', o);
        else if (o.word !== WORDS.lost && o.word !== WORDS.keptBall) shared(o);
      break;
    case 'punt':
    case 'kickoff':
    case 'freekick':
    case 'fg':
      if (
        !r.set(
          'unit',
          ({ punt: 'punt', kickoff: 'kickoff', freekick: 'free_kick', fg: 'field_goal' } as const)[head],
          range,
        )
      )
        return;
      r.fields.result ??= 'kick';
      for (const o of operands) {
        if (
          head === 'fg' &&
          (o.word === WORDS.good || (WORDS.failed as readonly string[]).includes(o.word))
        ) {
          if (!r.set('kickEnd', o.word === WORDS.good ? 'good' : 'missed', o)) return;
          if (o.word === WORDS.good) r.fields.score = 'field_goal';
        } else if (!shared(o) && !r.set('kickYards', Number(o.word), o)) return;
      }
      break;
    case 'try': {
      if (!r.set('unit', 'try', range)) return;
      const kick = !words.includes(WORDS.twoPoint);
      const good = words.includes(WORDS.good);
      if (kick) {
        r.fields.result = 'kick';
        r.fields.kickEnd = good ? 'good' : words.includes('blocked') ? 'blocked' : 'missed';
      } else r.fields.result ??= 'gain';
      if (good) r.fields.score = kick ? 'try_1' : 'try_2';
      if (words.includes(WORDS.returned)) r.fields.score = 'defensive_try';
      break;
    }
  }
  r.piece(
    range,
    head === 'drop' || head === 'box' || head === 'shell' ? head : head === 'rush' ? 'rushers' : 'result',
    kind,
  );
}

function penalty(r: Resolver, operands: readonly Token[], range: Range): void {
  const { profile } = r.context;
  let team: PenaltyTeam | null = null;
  let yards: number | null | undefined;
  let from: Penalty['from'] | null = null;
  let outcome: Penalty['outcome'] = 'accepted';
  let extra: Penalty['extra'] | null = null;
  const nameWords: string[] = [];
  for (const { word } of operands) {
    if (word === 'o' || word === 'd' || word === 'k' || word === 'r') team = word;
    else if (word === WORDS.unseen) yards = null;
    else if (/^\d{1,2}$/.test(word)) yards = Number(word);
    else if (word === 'prev' || word === 'end' || word === 'foul' || word === 'succ') from = word;
    else if (word === WORDS.declined || word === WORDS.offset) outcome = word;
    else if (word === WORDS.first || word === WORDS.lossOfDown) extra = word;
    else if (word === WORDS.noFirst) extra = '';
    else nameWords.push(word);
  }
  if (team === null) return r.problem('foul-side', range);
  const rule = nameWords.length > 0 ? findPenalty(profile, nameWords.join(' ')) : null;
  if (!rule) return r.problem('no-foul-name', range);
  const byOffense = team === 'o' || team === 'k';
  const defaults = (byOffense ? rule.offense : rule.defense) ?? rule.offense ?? rule.defense;
  r.penalties.push({
    side: team,
    name: rule.name,
    yards: yards === undefined ? (defaults?.yards ?? null) : yards,
    from: from ?? defaults?.from ?? 'prev',
    outcome,
    extra: extra ?? (defaults?.firstDown ? '1st' : defaults?.lossOfDown ? 'lod' : ''),
  });
  r.piece(range, 'penalties', 'result');
}
