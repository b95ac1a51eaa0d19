/** The reels that the staff keeps. */
import Link from 'next/link';
import type { ReelInfo } from '@/core/read/clips';

export function ReelsScreen({ reels }: { readonly reels: readonly ReelInfo[] }) {
  return (
    <section className="card">
      <header>
        <h1>Reels</h1>
        <Link href="/read">Read</Link>
      </header>
      {reels.length === 0 ? (
        <p>
          No reel is kept. Open the snaps behind any number in <Link href="/read">Read</Link> and choose “keep
          this reel”.
        </p>
      ) : (
        <table className="rows">
          <thead>
            <tr>
              <th scope="col">Reel</th>
              <th scope="col" className="n">
                Snaps
              </th>
              <th scope="col">Made of</th>
              <th scope="col">By</th>
              <th scope="col">Changed</th>
              <th scope="col">Guests</th>
            </tr>
          </thead>
          <tbody>
            {reels.map((reel) => (
              <tr key={reel.id}>
                <td>
                  <Link href={`/read/reels/${reel.id}`}>{reel.name}</Link>
                </td>
                <td className="n num">{reel.clips}</td>
                <td className="small">{reel.sentence}</td>
                <td>{reel.by}</td>
                <td className="small">{reel.at}</td>
                <td className="small">{reel.shared ? 'with the link' : 'no'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
