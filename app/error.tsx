'use client';
/** A page that could not be made, most often because the database is away. */
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="page">
      <section className="card flag" role="alert">
        <h1>This page could not be shown</h1>
        <p>
          The database may be away for a moment. What you typed is kept in this browser and saved when it is
          back.
        </p>
        <p>
          <button type="button" className="plain" onClick={reset}>
            <strong>Try again</strong>
          </button>
        </p>
      </section>
    </main>
  );
}
