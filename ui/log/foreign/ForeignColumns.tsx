'use client';
/** The table as it stands and as it is read: a column each, what it is taken for and why, the same rows below. */
import { targetLabel, TARGETS, type Target } from '@/core/foreign';
import { downWord, formatSpot, sideWord } from '@/core/field/spot';
import {
  columnOf,
  SNAP_FACTS,
  SNAP_FIELDS,
  writeFieldText,
  type SnapField,
  type SnapFields,
} from '@/core/snap';
import type { Foreign } from './useForeign';

const SHOWN = 5;
const OPEN = SNAP_FACTS.filter((f) => !(TARGETS as readonly string[]).includes(columnOf(f)));
/** Facts a target fills, in words. */
const FILLS: Readonly<Partial<Record<Target, readonly SnapField[]>>> = {
  down_distance: ['down', 'distance'],
  spot: ['toGoal'],
  play: ['play', 'unit'],
  gain: ['gain', 'kickYards'],
  result: ['result', 'turnover', 'score', 'kickEnd'],
  player: ['carrier', 'target', 'passer', 'kicker'],
  team: ['offense'],
};

function words(target: Target, fields: SnapFields): string {
  if (target === 'down_distance')
    return fields.down ? `${downWord(fields.down)}${fields.distance ? ` & ${fields.distance}` : ''}` : '';
  if (target === 'spot' || target === 'to_goal')
    return typeof fields.toGoal === 'number' ? formatSpot(fields.toGoal) : '';
  const side = (field: 'formationSide' | 'direction'): string =>
    fields[field] === 'L' || fields[field] === 'R' ? ` ${sideWord(fields[field])}` : '';
  if (target === 'formation')
    return [`${fields.formation ?? ''}${side('formationSide')}`, fields.backfield ?? '']
      .filter(Boolean)
      .join(', ');
  if (target === 'concept') return `${fields.concept ?? ''}${side('direction')}`;
  const names = FILLS[target] ?? (SNAP_FACTS.filter((f) => columnOf(f) === target) as SnapField[]);
  return names
    .map((f) => writeFieldText(f, fields[f as keyof SnapFields]))
    .filter((text) => text !== '')
    .map((text) => text.replace(/_/g, ' '))
    .join(', ');
}

export function ForeignColumns({ foreign }: { readonly foreign: Foreign }) {
  const { understood, sheet, map } = foreign;
  const read = new Map(understood.rows.map((r) => [r.row, r.fields]));
  const refused = new Map(understood.refused.map((r) => [r.row, r]));
  const shown = [...read.keys(), ...refused.keys()].sort((a, b) => a - b);
  // A refused row is worth seeing among the first.
  const rows = [...new Set([...shown.slice(0, SHOWN - 1), ...refused.keys(), ...shown])]
    .slice(0, SHOWN)
    .sort((a, b) => a - b);
  return (
    <section className="card foreigntable" aria-label="Columns" tabIndex={0}>
      <table className="rows">
        <thead>
          <tr>
            <th className="n">row</th>
            {understood.mapping.map((m) => (
              <th key={m.column}>{m.column}</th>
            ))}
          </tr>
          <tr>
            <td />
            {understood.mapping.map((m) => (
              <td key={m.column}>
                <select
                  aria-label={`${m.column} is`}
                  value={m.field ?? ''}
                  data-unsure={m.field !== null && m.confidence < 0.7}
                  onChange={(e) => map(m.column, e.target.value === '' ? null : (e.target.value as Target))}
                >
                  <option value="">leave out</option>
                  {TARGETS.map((target) => (
                    <option key={target} value={target}>
                      {targetLabel(target)}
                    </option>
                  ))}
                  <optgroup label="other columns">
                    {OPEN.map((field) => (
                      <option key={field} value={columnOf(field)}>
                        {SNAP_FIELDS[field].label}
                      </option>
                    ))}
                  </optgroup>
                </select>
                <span className="small quiet">
                  {m.field !== null && m.confidence < 0.7 ? 'unsure: ' : ''}
                  {m.why}
                </span>
              </td>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row} className={refused.has(row) ? 'refused' : ''}>
              <td className="n quiet">{row}</td>
              {understood.mapping.map((m, i) => (
                <td key={m.column}>{sheet.cells[row - 1]?.[i] ?? ''}</td>
              ))}
            </tr>
          ))}
        </tbody>
        <tbody className="asread" aria-label="The same rows as they are read">
          {rows
            .filter((row) => read.has(row))
            .map((row) => (
              <tr key={row}>
                <td className="n quiet">{row}</td>
                {understood.mapping.map((m) => (
                  <td key={m.column}>{m.field === null ? '' : words(m.field, read.get(row)!)}</td>
                ))}
              </tr>
            ))}
        </tbody>
      </table>
    </section>
  );
}
