/** What this browser could not store, and changes that want a decision. */
import { Unsettled } from '../sync/Unsettled';
import type { SheetState } from './useSheet';

export function SheetTrouble({ sheet }: { readonly sheet: Pick<SheetState, 'trouble' | 'unsettled'> }) {
  return (
    <>
      {sheet.trouble && (
        <div className="card flag" role="alert">
          {sheet.trouble}
        </div>
      )}
      {sheet.unsettled.length > 0 && (
        <div className="card" role="alert">
          <ul className="plainlist" aria-label="Changes to settle">
            {sheet.unsettled.map((queued) => (
              <Unsettled key={queued.op.id} entry={queued} />
            ))}
          </ul>
        </div>
      )}
    </>
  );
}
