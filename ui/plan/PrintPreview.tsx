'use client';
/** The page as it prints, drawn from the same layout as the PDF. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { layoutSheet, MARGIN, numberSheet, PAPERS, playCall, playLook, type Paper } from '@/core/plan';
import type { SheetDetail } from '@/core/exchange/types';
import { useUrlState } from '../useUrlState';

const FONT = '"Archivo Narrow", "Archivo Variable", sans-serif';

export function PrintPreview({
  sheet,
  title,
  against,
}: {
  sheet: SheetDetail;
  title: string;
  against: string;
}) {
  const [url, setUrl] = useUrlState();
  const paper: Paper = url.get('paper') === 'a4' ? 'a4' : 'letter';
  const { width, height } = PAPERS[paper];
  const layout = layoutSheet(numberSheet(sheet.list), paper);
  const h = layout.rowHeight;
  const size = h * 0.62;
  return (
    <>
      <div className="slices noprint">
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
        <span className="small quiet">
          one page, black and white, {layout.columns} columns
          {layout.fits ? '' : ': too long, the last sections are missing'}
        </span>
        <span style={{ marginLeft: 'auto', display: 'flex', gap: 8 }}>
          <Button component={Link} href={`/plan/${sheet.key}`}>
            Back to the sheet
          </Button>
          <Button variant="contained" href={`/api/sheets/${sheet.key}/pdf?paper=${paper}`}>
            PDF
          </Button>
        </span>
      </div>
      <svg
        className="sheetpaper"
        viewBox={`0 0 ${width} ${height}`}
        style={{
          width: 'min(100%, 760px)',
          justifySelf: 'center',
          fontFamily: FONT,
          background: '#fff',
          border: '1px solid var(--rule)',
        }}
        role="img"
        aria-label={`${title} against ${against}: ${sheet.list.length} calls in ${layout.placed.length} sections`}
      >
        <text x={MARGIN} y={MARGIN + 9} fontSize="15" fontWeight="700">
          {title} against {against}
        </text>
        <text x={MARGIN} y={MARGIN + 22} fontSize="9">
          {sheet.name} · hash L M R, blank = any
        </text>
        <line
          x1={MARGIN}
          x2={width - MARGIN}
          y1={MARGIN + 27}
          y2={MARGIN + 27}
          stroke="#000"
          strokeWidth="1.2"
        />
        {layout.placed.length === 0 && (
          <text x={MARGIN} y={MARGIN + 50} fontSize="11">
            No calls on this sheet yet.
          </text>
        )}
        {layout.placed.map(({ printed, x, y, width: w }) => (
          <g key={printed.section.key}>
            <rect x={x} y={y} width={w} height={h} fill="#000" />
            <text x={x + 4} y={y + h * 0.72} fontSize={size} fontWeight="700" fill="#fff">
              {printed.section.label.toUpperCase()}
            </text>
            {printed.calls.map((call, i) => {
              const top = y + h * (i + 1);
              return (
                <g key={call.id}>
                  <rect x={x} y={top} width={w} height={h} fill="none" stroke="#000" strokeWidth="0.5" />
                  <line
                    x1={x + h * 1.4}
                    x2={x + h * 1.4}
                    y1={top}
                    y2={top + h}
                    stroke="#000"
                    strokeWidth="0.5"
                  />
                  <text
                    x={x + h * 0.7}
                    y={top + h * 0.72}
                    fontSize={size}
                    fontWeight="700"
                    textAnchor="middle"
                  >
                    {call.number}
                  </text>
                  <text x={x + h * 1.4 + 4} y={top + h * 0.72} fontSize={size}>
                    {playLook(call.play)} · <tspan fontWeight="700">{playCall(call.play)}</tspan>
                  </text>
                  {call.hash && (
                    <text
                      x={x + w - h / 2}
                      y={top + h * 0.72}
                      fontSize={size}
                      fontWeight="700"
                      textAnchor="middle"
                    >
                      {call.hash}
                    </text>
                  )}
                </g>
              );
            })}
          </g>
        ))}
        <text x={MARGIN} y={height - MARGIN + 10} fontSize="7">
          Check what your rules allow on the sideline and in the box this season.
        </text>
      </svg>
    </>
  );
}
