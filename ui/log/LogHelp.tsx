'use client';
/** What can be typed and pressed here: the help behind "?". */
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { HELP } from '@/core/line';
import { LOG_COMMANDS } from '@/core/log';
import { chordWords } from '../shared/keys';

export default function LogHelp({ onClose }: { readonly onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="help-title" maxWidth="md">
      <DialogTitle id="help-title">The snap line</DialogTitle>
      <DialogContent>
        <table className="rows">
          <thead>
            <tr>
              <th>written</th>
              <th>means</th>
            </tr>
          </thead>
          <tbody>
            {HELP.map(([written, means]) => (
              <tr key={written}>
                <td className="mono">{written}</td>
                <td>{means}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="small">
          Words come in any order. Any term of your book counts, the longest match wins. <kbd>Esc</kbd> closes
          this.
        </p>
        <table className="rows" aria-label="Keys">
          <tbody>
            {LOG_COMMANDS.map((command) => (
              <tr key={command.id}>
                <td>
                  {command.keys.map((k) => (
                    <kbd key={k}>{chordWords(k)}</kbd>
                  ))}
                </td>
                <td>{command.label}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </DialogContent>
    </Dialog>
  );
}
