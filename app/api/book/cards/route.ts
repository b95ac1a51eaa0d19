import { sideWord } from '@/core/field';
import { z } from 'zod';
import { cardsPdf, type Card } from '@/render/drawing-pdf';
import { handle } from '@/app/lib/respond';
import { drawSnap, drawTerm, formationStructure, TERM_KIND_LABEL, TERM_KINDS, type Term } from '@/core/book';
import { structureWords } from '@/core/look';
import { PAPERS } from '@/core/plan';
import { buildColumns, countGame, filmKind, groupBy, ownFilm, select } from '@/core/read';
import { rulesOf } from '@/core/read/read-rules';
import { bookFor } from '@/store/book';
import { NotFound } from '@/store/errors';
import { listGames, listTeams, profilesOf } from '@/store/games';
import { programOf } from '@/store/programs';
import { loadGames } from '@/store/snaps';

const query = z.object({
  term: z.string().max(200).optional(),
  team: z.string().max(12).optional(),
  kind: z.enum(TERM_KINDS).default('formation'),
  side: z.enum(['L', 'R']).default('R'),
  paper: z.enum(Object.keys(PAPERS) as [keyof typeof PAPERS]).default('letter'),
});

/** Formations (or another kind) drawn, named, with structure: the whole book, one term, or what an opponent has shown with its counts. */
export async function GET(request: Request): Promise<Response> {
  return handle(request, 'book.read', async (actor) => {
    const q = query.parse(Object.fromEntries(new URL(request.url).searchParams));
    const [book, program, profiles, teams] = await Promise.all([
      bookFor(actor),
      programOf(actor),
      profilesOf(actor),
      listTeams(actor),
    ]);
    const profile = profiles[program.level];
    const rules = rulesOf(program.settings.rules);
    const cardOf = (term: Term): Card => ({
      title: `${term.word}${term.spots ? ` ${sideWord(q.side)}` : ''}`,
      lines: [
        term.kind === 'formation' && term.spots
          ? structureWords(formationStructure(book, term, q.side, profile))
          : term.aliases.join(', '),
      ].filter(Boolean),
      drawing: drawTerm(book, term, q.side, profile, rules.look).drawing,
    });
    let cards: Card[];
    let heading = `Formations of ${program.name}`;
    if (q.term !== undefined) {
      const term = book.terms.find((t) => t.id === q.term);
      if (!term) throw new NotFound('word');
      cards = [cardOf(term)];
      heading = program.name;
    } else if (q.team !== undefined) {
      const name = teams.find((t) => t.key === q.team)?.name;
      if (!name) throw new NotFound('team');
      const games = (await listGames(actor)).filter(
        (g) => (g.home === q.team || g.away === q.team) && filmKind(g) === ownFilm(program.level),
      );
      const snaps = await loadGames(
        actor,
        games.map((g) => g.key),
      );
      const columns = buildColumns(
        games.flatMap((g) => countGame(snaps.get(g.key) ?? [], profiles[g.level], book, rules)),
        rules,
      );
      const rows = select(columns, { offense: [q.team] });
      const groups = groupBy(columns, rows, ['formation', 'formationSide', 'backfield'], true).filter(
        (g) => g.words[0] !== '' && g.words[0] !== '-' && g.words[0] !== '?',
      );
      heading = `${name}: formations on ${games.length} ${games.length === 1 ? 'game' : 'games'}`;
      cards = groups.slice(0, 60).map((group): Card => {
        const [formation, side, backfield] = group.words;
        const drawn = drawSnap(
          book,
          {
            formation: formation!,
            formationSide: side === 'L' || side === 'R' ? side : null,
            backfield: backfield || null,
          },
          null,
          profile,
          { settings: rules.look },
        );
        return {
          title: `${formation}${side === 'L' ? ' left' : side === 'R' ? ' right' : ''}${backfield ? `, ${backfield}` : ''}`,
          lines: [
            `${group.rows.length} of ${rows.length} snaps`,
            drawn.look ? structureWords(drawn.look.offense.set) : 'not drawn in the book',
          ],
          drawing: drawn.drawing,
        };
      });
    } else {
      const terms = book.terms.filter((t) => t.kind === q.kind && (t.spots || t.definition));
      cards = terms.map(cardOf);
      if (q.kind !== 'formation') heading = `${TERM_KIND_LABEL[q.kind]} of ${program.name}`;
    }
    const pdf = await cardsPdf(
      cards,
      q.paper,
      heading,
      'Places follow from the words of the book; the film governs. Legality from memory: your association’s rulebook governs.',
    );
    return new Response(pdf as BodyInit, {
      headers: {
        'Content-Type': 'application/pdf',
        'Content-Disposition': `inline; filename="formations-${q.paper}.pdf"`,
        'Cache-Control': 'no-store',
      },
    });
  });
}
