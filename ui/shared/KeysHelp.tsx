'use client';
/** The keys of this screen. */
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useCommands } from './commands';
import { chordWords } from './keys';
import { FRAME_COMMANDS } from './screen-commands/frame';

export default function KeysHelp({ onClose }: { readonly onClose: () => void }) {
  const commands = useCommands();
  return (
    <Dialog open onClose={onClose} aria-labelledby="keys-title" maxWidth="sm" fullWidth>
      <DialogTitle id="keys-title">Keys of this screen</DialogTitle>
      <DialogContent>
        <table className="rows">
          <thead>
            <tr>
              <th>key</th>
              <th>does</th>
            </tr>
          </thead>
          <tbody>
            {[...commands, ...FRAME_COMMANDS].map((command) => (
              <tr key={command.id}>
                <td>
                  {command.chords.map((chord) => (
                    <kbd key={chord}>{chordWords(chord)}</kbd>
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
