import { handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { MOST_UPLOAD_BYTES, unpack, type NamedFile } from '@/core/table';
import { Invalid } from '@/store/errors';
import { importFiles } from '@/store/packages';

/** Files by form upload: bounded before they are read, imported whole or not at all. */
export async function POST(request: Request): Promise<Response> {
  return handle(request, async (actor) => {
    const length = Number(request.headers.get('content-length') ?? 0);
    if (!Number.isFinite(length) || length <= 0 || length > MOST_UPLOAD_BYTES + 100_000) throw new Invalid('the upload is larger than 32 MB; split it');
    const form = await request.formData();
    const files: NamedFile[] = [];
    for (const file of form.getAll('files')) {
      if (typeof file === 'string') continue;
      const unpacked = unpack(file.name, new Uint8Array(await file.arrayBuffer()));
      if (!unpacked.ok) throw new Invalid(unpacked.remedy);
      files.push(...unpacked.files);
    }
    if (files.length === 0) throw new Invalid('choose at least one file: a package (.zip), tables (.csv) or book.json');
    return importFiles(actor, files, clock());
  });
}
