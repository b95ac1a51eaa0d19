'use client';
/** The pages as they print: the same marks as the PDF's. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { PAPERS, type PageMark, type Paper, type SheetPages } from '@/core/plan';
import { useUrlState } from '../useUrlState';

const FONT = '"Archivo Narrow", "Archivo Variable", sans-serif';

export interface PrintPreviewProps {
  readonly sheet: {
    readonly key: string;
    readonly name: string;
    readonly title: string;
    readonly against: string;
  };
  readonly prints: Readonly<Record<Paper, SheetPages>>;
}

function Mark({ m: pageMark }: { readonly m: PageMark }) {
  if (pageMark.mark === 'line')
    return (
      <line
        x1={pageMark.x1}
        y1={pageMark.y1}
        x2={pageMark.x2}
        y2={pageMark.y2}
        stroke="#000"
        strokeWidth={pageMark.width}
      />
    );
  if (pageMark.mark === 'rect')
    return (
      <rect
        x={pageMark.x}
        y={pageMark.y}
        width={pageMark.width}
        height={pageMark.height}
        {...(pageMark.filled ? { fill: '#000' } : { fill: 'none', stroke: '#000', strokeWidth: 0.5 })}
      />
    );
  return (
    <text
      x={pageMark.x}
      y={pageMark.y}
      fontSize={pageMark.size}
      fontWeight={pageMark.bold ? 700 : 400}
      fill={pageMark.ink === 'white' ? '#fff' : '#000'}
      textAnchor={pageMark.anchor}
      style={{ whiteSpace: 'pre' }}
    >
      {pageMark.text}
    </text>
  );
}

function howItFits({ pages, cut }: SheetPages): string {
  const count = pages.length === 1 ? 'one page' : `${pages.length} pages`;
  const short =
    cut.length === 0
      ? ''
      : `; cut short, too long for a row: ${cut.length === 1 ? 'call' : 'calls'} ${cut.join(', ')}`;
  return `${count}, black and white${short}`;
}

export function PrintPreview({ sheet, prints }: PrintPreviewProps) {
  const [url, setUrl] = useUrlState();
  const paper: Paper = url.get('paper') === 'a4' ? 'a4' : 'letter';
  const { width, height } = PAPERS[paper];
  const print = prints[paper];
  return (
    <>
      <div className="toolbar noprint">
        <h1>Print preview: {sheet.name}</h1>
        {(Object.keys(PAPERS) as Paper[]).map((p) => (
          <Button
            key={p}
            variant={p === paper ? 'contained' : 'outlined'}
            aria-pressed={p === paper}
            onClick={() => setUrl({ paper: p })}
          >
            {PAPERS[p].label}
          </Button>
        ))}
        <span className="small quiet">{howItFits(print)}</span>
        <span style={{ marginLeft: 'auto', display: 'flex', gap: 8 }}>
          <Button component={Link} href={`/plan/${sheet.key}`}>
            Back to the sheet
          </Button>
          <Button variant="contained" href={`/api/sheets/${sheet.key}/pdf?paper=${paper}`}>
            PDF
          </Button>
        </span>
      </div>
      {print.pages.map((marks, i) => (
        <svg
          key={i}
          className="sheetpaper"
          viewBox={`0 0 ${width} ${height}`}
          style={{ fontFamily: FONT }}
          role="img"
          aria-label={`${sheet.title} against ${sheet.against}, page ${i + 1} of ${print.pages.length}`}
        >
          {marks.map((pageMark, n) => (
            <Mark key={n} m={pageMark} />
          ))}
        </svg>
      ))}
    </>
  );
}
