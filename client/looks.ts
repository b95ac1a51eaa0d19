/** The worker that counts beside the page: one a page, begun when it is first asked. */
import type { ArgueAnswer, ArgueRequest, LooksMessage, WrinkleRequest } from '@/core/plan/argue-request';
import type { Wrinkle } from '@/core/plan/wrinkles';
import type { FilmToMeasure, MeasuredLooks } from '@/core/read';

/** A worker that says nothing for so long does not come. */
const LONGEST_MS = 20_000;

type Answer = MeasuredLooks | ArgueAnswer | readonly Wrinkle[] | null;
let worker: Worker | null = null;
let asked = 0;
const waiting = new Map<number, (answer: Answer) => void>();
/** Numbers under which the worker measured films. */
const films = new WeakMap<FilmToMeasure, number>();

function begin(): Worker {
  const made = new Worker(new URL('../workers/looks.ts', import.meta.url), { type: 'module' });
  made.onmessage = ({ data }: MessageEvent<{ id: number; answer: Answer }>) =>
    waiting.get(data.id)?.(data.answer);
  // Its script did not come, or it broke: whoever waits counts for himself.
  made.onerror = () => {
    made.terminate();
    if (worker === made) worker = null;
    for (const done of waiting.values()) done(null);
  };
  return made;
}

function ask(message: LooksMessage): Promise<Answer> {
  const { id } = message;
  return new Promise((resolve) => {
    const timer = setTimeout(() => done(null), LONGEST_MS);
    function done(answer: Answer): void {
      clearTimeout(timer);
      waiting.delete(id);
      resolve(answer);
    }
    waiting.set(id, done);
    try {
      worker ??= begin();
      worker.postMessage(message);
    } catch {
      done(null);
    }
  });
}

/** The looks of a film; null where no worker can be had. */
export async function looksOfFilm(film: FilmToMeasure): Promise<MeasuredLooks | null> {
  if (typeof Worker === 'undefined') return null;
  const id = ++asked;
  const looks = (await ask({ id, film })) as MeasuredLooks | null;
  if (looks) films.set(film, id);
  return looks;
}

/** Asks the worker that measured the film; null: it did not, or is gone. */
async function askOf<A extends Answer>(
  film: FilmToMeasure,
  of: (id: number, film: number) => LooksMessage,
): Promise<A | null> {
  const measured = films.get(film);
  if (measured === undefined || worker === null) return null;
  return (await ask(of(++asked, measured))) as A | null;
}

/** What can be argued for each play in a section. */
export const arguedBy = (
  film: FilmToMeasure,
  request: Omit<ArgueRequest, 'film'>,
): Promise<ArgueAnswer | null> =>
  askOf<ArgueAnswer>(film, (id, measured) => ({ id, argue: { ...request, film: measured } }));

/** Wrinkles of a play. */
export const wrinklesBy = (
  film: FilmToMeasure,
  request: Omit<WrinkleRequest, 'film'>,
): Promise<readonly Wrinkle[] | null> =>
  askOf<readonly Wrinkle[]>(film, (id, measured) => ({ id, wrinkles: { ...request, film: measured } }));
