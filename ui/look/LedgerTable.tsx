import { defenderWords, dutyWords, type DefenseEntry, type Ledger, type School } from '@/core/look';

const BY: Readonly<Record<DefenseEntry['by'], string>> = {
  blocked: 'blocked by',
  read: 'read by',
  'pitch read': 'left to the pitch by',
  'held by the keep': 'held by the keep of',
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
            {ledger.offense.map((offenseEntry) => (
              <tr key={offenseEntry.man.letter}>
                <td>{offenseEntry.man.letter}</td>
                <td>{dutyWords(offenseEntry, school)}</td>
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
            {ledger.defense.map((defenseEntry) => (
              <tr key={`${defenseEntry.man.letter}${defenseEntry.man.x}`}>
                <td>
                  {defenderWords(defenseEntry.man, school)}
                  {defenseEntry.there ? '' : <span className="quiet"> (not there)</span>}
                </td>
                <td>
                  {defenseEntry.by === 'free' && defenseEntry.there ? (
                    <strong>free</strong>
                  ) : (
                    BY[defenseEntry.by]
                  )}
                  {defenseEntry.who.length > 0 ? ` ${defenseEntry.who.join(' and ')}` : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
