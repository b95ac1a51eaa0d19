/** Words that open a phrase: punts and kicks, sacks, turnovers, tries, penalties. */
import { findPenalty } from '../field/profile';
import { decodeSpot } from '../field/spot';
import { isKick } from '../rules/arithmetic';
import { SNAP_FIELDS } from '../snap/fields';
import type { Penalty, PenaltyTeam } from '../snap/snap';
import { KICK_WORDS, WORDS, type Head } from './grammar';
import type { Piece, Resolver } from './resolver';
import type { Range, Token } from './tokenize';

/** Men of a defense who drop when three rush. */
const DROPPERS = 8;

export function headWord(resolver: Resolver, head: Head, operands: readonly Token[], range: Range): void {
  const words = operands.map((o) => o.word);
  const kind: Piece['kind'] =
    head === 'drop' || head === 'box' || head === 'shell' || head === 'rush' ? 'term' : 'result';
  if (head === 'pen') return penalty(resolver, operands, range);
  let returning = false;
  const shared = (token: Token): boolean => {
    const { word } = token;
    if (returning) {
      returning = false;
      return resolver.set('returnYards', Number(word), token);
    }
    if (word === WORDS.ret) return (returning = true);
    if (word.startsWith('>')) {
      const spot = decodeSpot(word.slice(1))!;
      resolver.deadRange = token;
      return (
        resolver.set('deadToGoal', spot.toGoal, token) &&
        (!spot.hash || resolver.set('deadHash', spot.hash, token))
      );
    }
    if (word.startsWith('#')) return resolver.set('returner', word.slice(1), token);
    if (word in KICK_WORDS && head !== 'fum')
      return resolver.set('kickEnd', KICK_WORDS[word]!.kickEnd!, token);
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
        return resolver.problem('lonely', range, { needs: `after it: a number, ${spec.min} to ${spec.max}` });
      const n = Number(words[0]);
      // "drop 8" is eight men dropping; a quarterback takes one, three, five or seven steps.
      if (head === 'drop' && n === DROPPERS) {
        if (!resolver.set('rushers', resolver.context.profile.players - n, range)) return;
        resolver.piece(range, 'rushers', 'term');
        return;
      }
      if (n < spec.min! || n > spec.max!)
        return resolver.problem('bad-value', range, {
          value: words[0]!,
          field: spec.label,
          expected: `a number from ${spec.min} to ${spec.max}`,
        });
      if (!resolver.set(field, n, range)) return;
      break;
    }
    case 'sack':
      if (!resolver.set('result', 'sack', range)) return;
      for (const token of operands)
        if (
          !shared(token) &&
          !resolver.set(
            'gain',
            token.word.startsWith('+') || token.word.startsWith('-')
              ? Number(token.word)
              : -Number(token.word),
            token,
          )
        )
          return;
      break;
    case 'int':
      if (resolver.fields.fumble === 'lost' && resolver.fields.turnover === 'fumble')
        resolver.typed.delete('turnover');
      if (!resolver.set('turnover', 'interception', range) || !resolver.set('result', 'incomplete', range))
        return;
      for (const o of operands) if (!shared(o) && !resolver.set('turnoverYards', Number(o.word), o)) return;
      break;
    case 'fum':
      if (words.includes(WORDS.lost)) {
        // On an interception or a kick it is lost again by who had it: no turnover of the offense.
        const again = resolver.fields.turnover === 'interception' || isKick(resolver.fields);
        if (!again && !resolver.set('turnover', 'fumble', range)) return;
        if (!resolver.set('fumble', 'lost', range)) return;
      } else if (!resolver.set('fumble', 'kept', range)) return;
      for (const token of operands)
        if (token.word === 'tb') resolver.set('kickEnd', 'touchback', token);
        else if (token.word !== WORDS.lost && token.word !== WORDS.keptBall) shared(token);
      break;
    case 'punt':
    case 'kickoff':
    case 'freekick':
    case 'fg':
      if (
        !resolver.set(
          'unit',
          ({ punt: 'punt', kickoff: 'kickoff', freekick: 'free_kick', fg: 'field_goal' } as const)[head],
          range,
        )
      )
        return;
      if (words.includes(WORDS.fake)) {
        // Run or thrown from the kick's formation: the rest of the line says how.
        if (!resolver.set('fake', true, range)) return;
      } else resolver.fields.result ??= 'kick';
      if (resolver.fields.fumble === 'lost' && resolver.fields.turnover === 'fumble') {
        resolver.typed.delete('turnover');
        delete resolver.fields.turnover;
      }
      for (const token of operands) {
        if (token.word === WORDS.fake) continue;
        if (
          head === 'fg' &&
          (token.word === WORDS.good || (WORDS.failed as readonly string[]).includes(token.word))
        ) {
          if (!resolver.set('kickEnd', token.word === WORDS.good ? 'good' : 'missed', token)) return;
          if (token.word === WORDS.good) resolver.fields.score = 'field_goal';
        } else if (!shared(token) && !resolver.set('kickYards', Number(token.word), token)) return;
      }
      break;
    case 'try': {
      if (!resolver.set('unit', 'try', range)) return;
      const kick = !words.includes(WORDS.twoPoint);
      const good = words.includes(WORDS.good);
      if (kick) {
        resolver.fields.result = 'kick';
        resolver.fields.kickEnd = good ? 'good' : words.includes('blocked') ? 'blocked' : 'missed';
      } else resolver.fields.result ??= 'gain';
      if (good) resolver.fields.score = kick ? 'try_1' : 'try_2';
      if (words.includes(WORDS.returned)) resolver.fields.score = 'defensive_try';
      break;
    }
  }
  resolver.piece(
    range,
    head === 'drop' || head === 'box' || head === 'shell' ? head : head === 'rush' ? 'rushers' : 'result',
    kind,
  );
}

function penalty(resolver: Resolver, operands: readonly Token[], range: Range): void {
  const { profile } = resolver.context;
  let team: PenaltyTeam | null = null;
  let yards: number | null | undefined;
  let from: Penalty['from'] | null = null;
  let outcome: Penalty['outcome'] = 'accepted';
  let extra: Penalty['extra'] | null = null;
  let at: number | undefined;
  const nameWords: string[] = [];
  for (const { word } of operands) {
    if (word === 'o' || word === 'd' || word === 'k' || word === 'r') team = word;
    else if (word === WORDS.unseen) yards = null;
    else if (/^\d{1,2}$/.test(word)) yards = Number(word);
    else if (word === 'prev' || word === 'end' || word === 'foul' || word === 'succ') from = word;
    else if (word === WORDS.declined || word === WORDS.offset) outcome = word;
    else if (word === WORDS.first || word === WORDS.lossOfDown) extra = word;
    else if (word === WORDS.noFirst) extra = '';
    else if (word.startsWith('@')) at = decodeSpot(word.slice(1))!.toGoal;
    else nameWords.push(word);
  }
  if (team === null) return resolver.problem('foul-side', range);
  const rule = nameWords.length > 0 ? findPenalty(profile, nameWords.join(' ')) : null;
  if (!rule) return resolver.problem('no-foul-name', range);
  const byOffense = team === 'o' || team === 'k';
  const defaults = (byOffense ? rule.offense : rule.defense) ?? rule.offense ?? rule.defense;
  resolver.penalties.push({
    side: team,
    name: rule.name,
    yards: yards === undefined ? (defaults?.yards ?? null) : yards,
    from: from ?? (at === undefined ? (defaults?.from ?? 'prev') : 'foul'),
    outcome,
    extra: extra ?? (defaults?.firstDown ? '1st' : defaults?.lossOfDown ? 'lod' : ''),
    ...(at === undefined ? {} : { at }),
  });
  if (from === null) resolver.unplaced.add(resolver.penalties.length - 1);
  resolver.piece(range, 'penalties', 'result');
}
