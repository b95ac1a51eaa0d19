'use client';
/** A page that failed says so inside the frame, and is asked again without leaving it. */
// A plain button: this part comes with the first view of every screen.
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <section className="card" role="alert">
      <h1>This page could not be shown</h1>
      <p>
        The database may be away for a moment. What you typed is stored in this browser and saved when it is
        back.
      </p>
      <button type="button" className="button" onClick={reset}>
        Try again
      </button>
    </section>
  );
}
