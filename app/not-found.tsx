import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="page">
      <section className="card">
        <h1>There is nothing at this address</h1>
        <p>
          The game or sheet may have been renamed, or belongs to another program.{' '}
          <Link href="/">To the week</Link>
        </p>
      </section>
    </main>
  );
}
