import 'server-only';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import PDFDocument from 'pdfkit';
import { PAPERS, type Measure, type Paper } from '@/core/plan';
import { unpackWoff } from './woff';

export type Pdf = InstanceType<typeof PDFDocument>;

const FONTS = path.join(process.cwd(), 'node_modules/@fontsource/archivo-narrow/files');
const unpacked = new Map<number, Buffer>();
/** The shipped font, unpacked once a process. */
function font(weight: 400 | 700): Buffer {
  let bytes = unpacked.get(weight);
  if (!bytes) {
    bytes = unpackWoff(readFileSync(path.join(FONTS, `archivo-narrow-latin-${weight}-normal.woff`)));
    unpacked.set(weight, bytes);
  }
  return bytes;
}

/** An empty document in the shipped fonts ("text", "bold"); `done` gives its bytes after `doc.end()`. */
export function openPdf(
  paper: Paper,
  title: string,
  /** Pages are kept until the end: their numbers are written when all are there. */
  numbered = false,
): { readonly doc: Pdf; readonly done: Promise<Uint8Array> } {
  const { width, height } = PAPERS[paper];
  const doc = new PDFDocument({
    size: [width, height],
    margin: 0,
    autoFirstPage: false,
    bufferPages: numbered,
    info: { Title: title, Creator: 'Vobrik' },
  });
  const chunks: Buffer[] = [];
  doc.on('data', (c: Buffer) => chunks.push(c));
  const done = new Promise<Uint8Array>((resolve, reject) => {
    doc.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))));
    doc.on('error', reject);
  });
  doc.registerFont('text', font(400));
  doc.registerFont('bold', font(700));
  return { doc, done };
}

let ruler: Pdf | null = null;
/** Width in points, as the printed font has it. */
export const measureText: Measure = (text, size, bold) => {
  if (!ruler) {
    ruler = new PDFDocument({ autoFirstPage: false });
    ruler.registerFont('text', font(400));
    ruler.registerFont('bold', font(700));
  }
  return ruler
    .font(bold ? 'bold' : 'text')
    .fontSize(size)
    .widthOfString(text);
};
