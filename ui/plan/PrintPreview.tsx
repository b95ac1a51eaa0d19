'use client';
/** The pages as they print: the same marks as the PDF's. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useOptimistic, useTransition } from 'react';
import {
  BAND_LIMITS,
  CARDS_A_PAGE,
  COPY_LIMITS,
  EVERY_MAN,
  numbersCopies,
  papersOf,
  PRINT_LABEL,
  printsOf,
  SHEET_PAPERS,
  type PageMark,
  type PrintChoice,
  type SheetPages,
  type SheetSide,
} from '@/core/plan';
import { Marks } from '../chalk/Marks';
import { Choice } from '../shared/Choice';
import { CheckBox, NumberBox } from './print-boxes';
import { PRINT_FONT } from './usePrintMeasure';
import { StaffFigures, type StaffFiguresProps } from './StaffFigures';

export interface PrintPreviewProps {
  readonly sheet: {
    readonly key: string;
    readonly name: string;
    readonly title: string;
    readonly against: string;
    readonly side: SheetSide;
  };
  readonly choice: PrintChoice;
  readonly staff: StaffFiguresProps['staff'];
  readonly save: StaffFiguresProps['save'];
  /** Of whom a test can ask. */
  readonly men: readonly string[];
  readonly print: SheetPages;
  /** Scout cards that do not print, and why. */
  readonly faults: readonly string[];
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
  if (pageMark.mark === 'drawing')
    return (
      <svg
        x={pageMark.x}
        y={pageMark.y}
        width={pageMark.width}
        height={pageMark.height}
        viewBox={pageMark.drawing.view.join(' ')}
      >
        <Marks drawing={pageMark.drawing} />
      </svg>
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

function howItFits({ pages, cut }: SheetPages, rows: string): string {
  const count = pages.length === 1 ? 'one page' : `${pages.length} pages`;
  const short = cut.length === 0 ? '' : `; cut short, too long for its place: ${rows} ${cut.join(', ')}`;
  return `${count}, black and white${short}`;
}

const SHAPES = [
  ['large', 'large print'],
  ['folded', 'folded in three'],
] as const;
const SCOUT_TURNS = [
  ['turn', 'seen by those who show it'],
  ['flip', 'left for right'],
] as const;
const ROWS_OF: Readonly<Record<PrintChoice['kind'], string>> = {
  sheet: 'calls',
  band: 'calls',
  checks: 'rows',
  scout: 'cards',
  script: 'reps',
  test: 'questions',
  decisions: 'cells',
};

/** What the address says of a choice. */
function queryOf({ kind, paper, band, scout, man, shape, decisions, copies }: PrintChoice): string {
  const more =
    kind === 'band'
      ? band
      : kind === 'scout'
        ? scout
        : kind === 'test'
          ? { cards: scout.cards, aPage: scout.aPage, seed: band.seed, man }
          : kind === 'sheet'
            ? shape
            : kind === 'decisions'
              ? decisions
              : {};
  const all = { print: kind, paper, ...more, ...(copies > 1 && numbersCopies(kind) ? { copies } : {}) };
  return new URLSearchParams(Object.entries(all).map(([k, v]) => [k, String(v)])).toString();
}

export function PrintPreview({ sheet, choice: given, staff, save, men, print, faults }: PrintPreviewProps) {
  const router = useRouter();
  const [busy, begin] = useTransition();
  // What is chosen shows at once; the pages follow.
  const [choice, hope] = useOptimistic(given);
  const { kind, paper, band, scout, man, shape } = choice;
  const choose = (change: Partial<PrintChoice>): void =>
    begin(() => {
      const to = { ...choice, ...change };
      hope(to);
      router.replace(`/plan/${sheet.key}/print?${queryOf(to)}`);
    });
  const kinds = printsOf(sheet.side);
  return (
    <>
      <div className="toolbar noprint" aria-busy={busy}>
        <h1>
          {PRINT_LABEL[kind]}: {sheet.name}
        </h1>
        {kinds.length > 1 &&
          kinds.map((k) => (
            <Button
              key={k}
              variant={k === kind ? 'contained' : 'outlined'}
              aria-pressed={k === kind}
              onClick={() => choose({ kind: k, paper: papersOf(k)[0]! })}
            >
              {PRINT_LABEL[k]}
            </Button>
          ))}
        <Choice
          label="paper"
          value={paper}
          options={papersOf(kind).map((p) => [p, SHEET_PAPERS[p].label])}
          onChange={(to) => choose({ paper: to as PrintChoice['paper'] })}
        />
        {numbersCopies(kind) && (
          <NumberBox
            label="copies, numbered"
            value={choice.copies}
            limits={COPY_LIMITS}
            step={1}
            onChange={(copies) => choose({ copies })}
          />
        )}
        <StaffFigures choice={choice} staff={staff} save={save} choose={choose} />
        {kind === 'test' && men.length > 0 && (
          <Choice
            label="who is asked"
            value={man}
            options={[[EVERY_MAN, 'every man'], ...men.map((m): [string, string] => [m, m])]}
            onChange={(to) => choose({ man: to })}
          />
        )}
        {kind === 'test' && (
          <NumberBox
            label="order"
            value={band.seed}
            limits={BAND_LIMITS.seed}
            step={1}
            onChange={(seed) => choose({ band: { ...band, seed } })}
          />
        )}
        {(kind === 'scout' || kind === 'test') && (
          <>
            <Choice
              label={ROWS_OF[kind]}
              value={String(scout.cards)}
              options={[...new Set([4, 6, 8, 12, 16, 24, 36, 48, scout.cards])]
                .sort((a, b) => a - b)
                .map((many) => [String(many), kind === 'scout' ? `the ${many} most used` : `up to ${many}`])}
              onChange={(to) => choose({ scout: { ...scout, cards: Number(to) } })}
            />
            <Choice
              label="a page"
              value={String(scout.aPage)}
              options={CARDS_A_PAGE.map((many) => [String(many), String(many)])}
              onChange={(to) =>
                choose({ scout: { ...scout, aPage: Number(to) as (typeof CARDS_A_PAGE)[number] } })
              }
            />
          </>
        )}
        {kind === 'scout' &&
          SCOUT_TURNS.map(([field, label]) => (
            <CheckBox
              key={field}
              label={label}
              checked={scout[field]}
              onChange={(to) => choose({ scout: { ...scout, [field]: to } })}
            />
          ))}
        {kind === 'sheet' &&
          SHAPES.map(([field, label]) => (
            <CheckBox
              key={field}
              label={label}
              checked={shape[field]}
              onChange={(to) => choose({ shape: { ...shape, [field]: to } })}
            />
          ))}
        <span className="small quiet">{howItFits(print, ROWS_OF[kind])}</span>
        <span style={{ marginLeft: 'auto', display: 'flex', gap: 8 }}>
          <Button component={Link} href={`/plan/${sheet.key}`}>
            Back to the sheet
          </Button>
          {(kind === 'sheet' || kind === 'checks') &&
            (['xlsx', 'csv'] as const).map((as) => (
              <Button key={as} href={`/api/sheets/${sheet.key}/table?as=${as}`}>
                {as.toUpperCase()}
              </Button>
            ))}
          <Button variant="contained" href={`/api/sheets/${sheet.key}/pdf?${queryOf(choice)}`}>
            PDF
          </Button>
        </span>
      </div>
      {faults.length > 0 && (
        <section className="card flag noprint" aria-label="Cards that do not print">
          <h2>Not printed: words and drawing differ</h2>
          <ul>
            {faults.map((fault) => (
              <li key={fault}>{fault}</li>
            ))}
          </ul>
        </section>
      )}
      {print.pages.map((marks, i) => (
        <svg
          key={i}
          className="sheetpaper"
          viewBox={`0 0 ${print.width} ${print.height}`}
          style={{ fontFamily: PRINT_FONT }}
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
