'use client';
/** Files dropped or chosen, each with its size and the way to leave it out. */
import { useDropzone } from 'react-dropzone';

const UNITS = ['bytes', 'kB', 'MB', 'GB'] as const;
/** "1.4 MB". */
export function sizeWords(bytes: number): string {
  const unit = bytes < 1000 ? 0 : Math.min(UNITS.length - 1, Math.floor(Math.log10(bytes) / 3));
  const n = bytes / 1000 ** unit;
  return `${unit === 0 || n >= 100 ? Math.round(n) : n.toFixed(1)} ${UNITS[unit]}`;
}

interface DropZoneProps {
  readonly files: readonly File[];
  /** Bytes of all together. */
  readonly most: number;
  readonly disabled: boolean;
  readonly onFiles: (files: readonly File[]) => void;
}

/** By what they are called: browsers do not agree on the types of tables. */
const TAKEN = /\.(zip|csv|tsv|txt|json|xlsx)$/i;

export function DropZone({ files, most, disabled, onFiles }: DropZoneProps) {
  const { getRootProps, getInputProps, isDragActive, open } = useDropzone({
    disabled,
    noClick: true,
    noKeyboard: true,
    onDrop: (dropped: File[]) => {
      if (dropped.length > 0) onFiles(dropped);
    },
  });
  const total = files.reduce((n, f) => n + f.size, 0);
  return (
    <div {...getRootProps({ className: `dropzone${isDragActive ? ' over' : ''}` })}>
      <input
        {...getInputProps({ 'aria-label': 'Files to import', accept: '.zip,.csv,.tsv,.txt,.json,.xlsx' })}
      />
      <p>
        <button type="button" className="button" disabled={disabled} onClick={open}>
          Choose files
        </button>{' '}
        {isDragActive
          ? 'Drop them.'
          : 'or drop them here: a package (.zip), tables (.csv, .tsv, .xlsx) of any staff, book.json.'}
      </p>
      {files.length > 0 && (
        <ul className="todo small" aria-label="Files">
          {files.map((file) => (
            <li key={file.name} className={TAKEN.test(file.name) ? '' : 'flag'}>
              <span className="mono">{file.name}</span> {sizeWords(file.size)}
              {!TAKEN.test(file.name) && ': not a kind of file that can be imported'}{' '}
              <button
                type="button"
                className="plain quiet"
                disabled={disabled}
                aria-label={`leave ${file.name} out`}
                onClick={() => onFiles(files.filter((f) => f !== file))}
              >
                remove
              </button>
            </li>
          ))}
        </ul>
      )}
      {total > most && (
        <p className="flag small" role="alert">
          Together {sizeWords(total)}; at most {sizeWords(most)} are taken at once. Import them in parts.
        </p>
      )}
    </div>
  );
}
