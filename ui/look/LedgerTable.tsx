import { defenderWords, type DefenseEntry, type Ledger, type School } from '@/core/look';

const BY: Readonly<Record<DefenseEntry['by'], string>> = {
  blocked: 'blocked by',
  read: 'read by',
  option: 'held by the option',
  'held by a receiver': 'held by',
  'deep, far': 'deep, far from it',
  free: 'free',
};
/** Everyone's job, ours and theirs. */
export function LedgerTable({ ledger, school }: { ledger: Ledger; school: School }) {
  return (
    <details open>
      <summary>
        <strong>Everyone’s job</strong>
      </summary>
      <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 12 }}>
        <table className="rows tight">
          <thead>
            <tr>
              <th>Ours</th>
              <th>does</th>
            </tr>
          </thead>
          <tbody>
            {ledger.offense.map((e) => (
              <tr key={e.man.letter}>
                <td>{e.man.letter}</td>
                <td>
                  {e.duty}
                  {e.on ? ` ${defenderWords(e.on, school)}` : ''}
                  {e.then ? `, then ${defenderWords(e.then, school)}` : ''}
                  {e.partner ? ` with ${e.partner}` : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <table className="rows tight">
          <thead>
            <tr>
              <th>Theirs</th>
              <th>is</th>
            </tr>
          </thead>
          <tbody>
            {ledger.defense.map((e) => (
              <tr key={`${e.man.letter}${e.man.x}`}>
                <td>
                  {defenderWords(e.man, school)}
                  {e.there ? '' : <span className="quiet"> (not there)</span>}
                </td>
                <td>
                  {e.by === 'free' && e.there ? <strong>free</strong> : BY[e.by]}
                  {e.who.length > 0 ? ` ${e.who.join(' and ')}` : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
