/** What the rules and the people typed say against a line-up. */
import type { LevelProfile } from '../field/profile';
import type { Man } from './formation';
import { type Structure, coveredMen } from './structure';

export interface LegalityNote {
  readonly code: 'men' | 'on-line' | 'backs' | 'covered-end' | 'ends' | 'linemen' | 'passing-only';
  readonly sentence: string;
}

/** What the rulebook would say of the men as they stand. Warns, never blocks; from memory, the rulebook governs. */
export function legality(men: readonly Man[], profile: LevelProfile): LegalityNote[] {
  const out: LegalityNote[] = [];
  const stamp = ` (${profile.name} ${profile.season}, from memory)`;
  const add = (code: LegalityNote['code'], text: string) => out.push({ code, sentence: text + stamp });
  if (men.length !== profile.players) add('men', `${men.length} men stand; ${profile.players} may play`);
  const on = men.filter((m) => m.onLine);
  if (profile.players !== 11) {
    if (profile.players === 5 && !men.some((m) => m.letter === 'C')) add('ends', 'nobody snaps the ball');
    return out;
  }
  if (profile.onTheLine === 'at_least_seven' && on.length < 7)
    add('on-line', `${on.length} on the line; at least seven must be`);
  if (profile.onTheLine === 'at_most_four_backs') {
    if (men.length - on.length > 4)
      add('backs', `${men.length - on.length} in the backfield; at most four may be`);
    if (on.length < 5) add('on-line', `${on.length} on the line; at least five must be`);
  }
  if (on.filter((m) => m.role === 'line').length < 5)
    add('linemen', 'fewer than five linemen are on the line');
  const ends = [...on].sort((a, b) => a.x - b.x);
  for (const end of [ends[0], ends[ends.length - 1]])
    if (end && end.role === 'line')
      add(
        'ends',
        `${end.letter} ends the line; its end man is eligible by place and must wear an eligible number or report`,
      );
  for (const letter of coveredMen(men))
    add('covered-end', `${letter} is covered by a man outside him on the line: he may not go out for a pass`);
  return out;
}

/**
 * What typed people and a picture cannot both be: more backs behind the ball, or more men attached to
 * the line, than the people hold. Null when they agree; a tight end may always flex, a back go out.
 */
export function peopleNote(personnel: string | null | undefined, structure: Structure): string | null {
  if (!personnel || !/^[0-5][0-5]$/.test(personnel)) return null;
  const [backs, ends] = [Number(personnel[0]), Number(personnel[1])];
  const attached = structure.left.attached.length + structure.right.attached.length;
  if (structure.backfield.backs.length > backs)
    return `${personnel} personnel has ${backs} ${backs === 1 ? 'back' : 'backs'}, the formation shows ${structure.backfield.backs.length}.`;
  return attached > ends
    ? `${personnel} personnel has ${ends} ${ends === 1 ? 'tight end' : 'tight ends'}, the formation shows ${attached} attached to the line.`
    : null;
}
