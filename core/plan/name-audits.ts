/** Names of plays against what is drawn of them: a card that says right and goes left costs a practice. */
import { group } from 'd3-array';
import { findTerm, type Book, type Term } from '../book';
import type { Side } from '../field/spot';
import type { Audit } from './audits';
import type { PlayCard, SheetCall } from './sheet';

const SIDES: Readonly<Record<string, Side>> = { left: 'L', right: 'R' };
const sideWord = (side: Side): string => (side === 'L' ? 'left' : 'right');
const plain = (text: string): string =>
  ` ${text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()} `;
const wordsOf = (term: Term): string[] => [term.word, ...term.aliases].map(plain);

/** The side that a name sends the ball to, where it says one: a side behind the formation is the formation's. */
function sideSaid({ name, formation }: PlayCard): Side | null {
  const words = plain(name);
  const behind = formation === null ? null : plain(formation);
  const said = new Set(
    [...words.matchAll(/ (left|right)(?= )/g)].flatMap(({ 1: side, index }) =>
      behind !== null && `${words.slice(0, index)} `.endsWith(behind) ? [] : [SIDES[side!]!],
    ),
  );
  return said.size === 1 ? [...said][0]! : null;
}

/** The concept that a name says, where it says another than the play's and not its own. */
function conceptSaid(play: PlayCard, concepts: readonly Term[], book: Book): string | null {
  const name = plain(play.name);
  const says = (term: Term): boolean => wordsOf(term).some((word) => name.includes(word));
  const own = [play.concept, play.conceptWeak].flatMap((word) =>
    (['run', 'pass'] as const).flatMap((kind) => (word === null ? [] : (findTerm(book, kind, word) ?? []))),
  );
  // Words that the staff's book does not have are its own to name.
  if (own.length === 0 || own.some(says) || name.includes(plain(play.concept))) return null;
  return concepts.find((term) => !own.includes(term) && says(term))?.word ?? null;
}

export function nameAudits(calls: readonly SheetCall[], book: Book): Audit[] {
  const concepts = book.terms.filter((t) => t.kind === 'run' || t.kind === 'pass');
  return [...group(calls, (c) => c.play.id).values()].flatMap((of): Audit[] => {
    const { play } = of[0]!;
    const side = sideSaid(play);
    const concept = conceptSaid(play, concepts, book);
    const wrong =
      side !== null && play.direction !== null && side !== play.direction
        ? `says ${sideWord(side)}, and the ball goes ${sideWord(play.direction)}`
        : concept !== null
          ? `says ${concept}, and ${play.concept} is drawn`
          : null;
    return wrong === null
      ? []
      : [
          {
            code: 'name',
            section: null,
            calls: of.map((c) => c.id),
            about: play.name,
            facts: { calls: of.length },
            sentence: `The name “${play.name}” ${wrong}.`,
          },
        ];
  });
}
