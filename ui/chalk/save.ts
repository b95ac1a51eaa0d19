/** A drawing as a file: SVG as it is, PNG drawn by the browser. */
import { drawingSvg } from '@/core/look/svg';
import type { Drawing } from '@/core/look/marks';

function download(blob: Blob, name: string): void {
  const url = URL.createObjectURL(blob);
  const hTMLAnchorElement = document.createElement('a');
  hTMLAnchorElement.href = url;
  hTMLAnchorElement.download = name;
  hTMLAnchorElement.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

const fileName = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'drawing';

export function saveSvg(drawing: Drawing, title: string): void {
  download(new Blob([drawingSvg(drawing, title)], { type: 'image/svg+xml' }), `${fileName(title)}.svg`);
}

/** PNG at 32 pixels a yard, black on white. Resolves when the file was handed over. */
export async function savePng(drawing: Drawing, title: string): Promise<void> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(drawingSvg(drawing, title, undefined, 32))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = image.width;
  canvas.height = image.height;
  canvas.getContext('2d')!.drawImage(image, 0, 0);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (blob) download(blob, `${fileName(title)}.png`);
}
