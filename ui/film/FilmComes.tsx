export const FilmComes = () => (
  <p className="card quiet" role="status" aria-busy="true">
    Loading the film …
  </p>
);
