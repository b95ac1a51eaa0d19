import { columnsOfFilm, countedFilm } from '@/app/lib/counted-film';
import type { Actor } from '@/core/exchange/types';
import { rowsAt, situationBoard } from '@/core/read';
import { FilmComes } from '@/ui/film/FilmComes';
import { SituationCard } from '@/ui/read/SituationCard';

/** The situation board of an address, counted and drawn by the server: it stands before the page has its script and its film. */
export async function FirstBoard({ actor, search }: { readonly actor: Actor; readonly search: string }) {
  const film = await countedFilm(actor, new URLSearchParams(search));
  const { address, rules } = film;
  if (address.side !== 'offense') return <FilmComes />;
  const columns = await columnsOfFilm(film);
  const rows = rowsAt(columns, { ...address, cell: null }, rules.zones);
  if (rows.length === 0) return <FilmComes />;
  const hrefOf = (changes: Readonly<Record<string, string>>): string => {
    const to = new URLSearchParams(search);
    for (const [key, value] of Object.entries(changes)) to.set(key, value);
    return `/read?${to.toString()}`;
  };
  return (
    <>
      <div className="toolbar served" role="status" aria-busy="true">
        <span className="small quiet">Loading the film …</span>
      </div>
      <div className="readgrid">
        <SituationCard
          board={situationBoard(columns, rows)}
          cell={address.cell}
          zones={rules.zones}
          doors={{ hrefOf }}
          busy
        />
        <section className="card looks" aria-busy="true" />
      </div>
    </>
  );
}
