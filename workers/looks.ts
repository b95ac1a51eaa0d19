/** Measures the looks of a film beside the page: a film in, its looks out. */
import { measureFilm, type FilmToMeasure } from '../core/read/measured-film';

self.onmessage = ({ data }: MessageEvent<{ readonly id: number; readonly film: FilmToMeasure }>): void => {
  const looks = measureFilm(data.film);
  self.postMessage({ id: data.id, looks }, { transfer: [looks.codes.buffer] });
};
