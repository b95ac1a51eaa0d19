'use client';
/** A page that failed says so inside the frame, and is asked again without leaving it. */
import Button from '@mui/material/Button';

export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <section className="card" role="alert">
      <h1>This page could not be shown</h1>
      <p>
        The database may be away for a moment. What you typed is stored in this browser and saved when it is
        back.
      </p>
      <Button variant="contained" onClick={reset}>
        Try again
      </Button>
    </section>
  );
}
