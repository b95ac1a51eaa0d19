/** An import on its way: uploaded with progress, answered line by line. */
import type { BookChoice, ImportOutcome } from '@/core/exchange/types';

/** A line of the answer: a step, the outcome, or why it failed. */
export interface ImportLine {
  readonly step?: string;
  readonly what?: string;
  readonly done?: number;
  readonly of?: number;
  readonly error?: string;
  readonly outcome?: ImportOutcome;
}
/** Sends the form and tells each line of the answer as it comes. Uploads report their share, which fetch cannot. */
export function sendImport(
  form: FormData,
  book: BookChoice,
  tell: (share: number) => void,
  line: (line: ImportLine) => void,
): { readonly done: Promise<void>; readonly stop: () => void } {
  const request = new XMLHttpRequest();
  const done = new Promise<void>((resolve, reject) => {
    let read = 0;
    const take = (final: boolean) => {
      const text = request.responseText;
      for (
        let end = text.indexOf('\n', read);
        end >= 0 || (final && read < text.length);
        end = text.indexOf('\n', read)
      ) {
        const part = text.slice(read, end < 0 ? undefined : end);
        read = end < 0 ? text.length : end + 1;
        if (part.trim()) line(JSON.parse(part) as ImportLine);
      }
    };
    request.upload.onprogress = (event) => {
      if (event.lengthComputable) tell(event.loaded / event.total);
    };
    request.onprogress = () => {
      if (request.status === 200) take(false);
    };
    request.onload = () => {
      try {
        take(true);
        resolve();
      } catch {
        reject(new Error('The server’s answer cannot be read; look at the week before you import again.'));
      }
    };
    request.onerror = () =>
      reject(new Error('The server does not answer; look at the week before you import again.'));
    request.onabort = () => reject(new Error('Stopped. If it had not finished, nothing was imported.'));
    request.open('POST', `/api/import?book=${book}`);
    request.send(form);
  });
  return { done, stop: () => request.abort() };
}
