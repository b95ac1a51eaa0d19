'use client';
/** The staff's counting rules. What depends on them is computed anew everywhere. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { DEFAULT_BUCKETS, OTHER_BUCKETS } from '@/core/field/situation';
import { STRENGTH_RULES, TECHNIQUES, techniqueName, TIGHT_END_SCHOOLS, type StrengthRule } from '@/core/look';
import { DEFAULT_RULES, SUCCESS_RULES, type StaffRules } from '@/core/read/staff-rules';
import { readRules } from '@/core/read/read-rules';
import { TextBox } from './shared/TextBox';

const STRENGTH_WORD: Readonly<Record<StrengthRule, string>> = {
  receivers: 'more receivers',
  tight_end: 'the tight end',
  field: 'the field',
  back: 'the back',
};

export function RulesCard({
  rules,
  busy,
  mayKeep,
  onKeep,
}: {
  rules: StaffRules;
  busy: boolean;
  mayKeep: boolean;
  onKeep: (rules: unknown) => void;
}) {
  const [open, setOpen] = useState(false);
  const [order, setOrder] = useState<readonly (StrengthRule | '')[]>(
    [...rules.look.strength, '', '', '', ''].slice(0, 4) as (StrengthRule | '')[],
  );
  const [school, setSchool] = useState(rules.look.school);
  const [box, setBox] = useState({
    lateral: String(rules.look.box.lateral),
    depth: String(rules.look.box.depth),
  });
  const [percent, setPercent] = useState(rules.success.percent.map(String));
  const [buckets, setBuckets] = useState(rules.buckets);
  const [zones, setZones] = useState(
    rules.zones.map((z) => ({ ...z, from: String(z.from), to: String(z.to) })),
  );
  const [problem, setProblem] = useState('');
  const known = SUCCESS_RULES.find((r) => r.percent.join() === percent.join());
  const keep = () => {
    const value = {
      look: {
        strength: order.filter((r): r is StrengthRule => r !== ''),
        school,
        box: { lateral: Number(box.lateral), depth: Number(box.depth) },
      },
      success: { name: known?.name ?? percent.join('/'), percent: percent.map(Number) },
      buckets,
      zones: zones.map((z) => ({ ...z, from: Number(z.from), to: Number(z.to) })),
    };
    const read = readRules(value);
    setProblem(read.ok ? '' : read.remedy);
    if (read.ok) onKeep(read.rules);
  };
  const edge = (key: 'secondMedium' | 'secondLong' | 'thirdMedium' | 'thirdLong', label: string) => (
    <TextBox
      type="number"
      label={label}
      value={buckets[key]}
      onChange={(e) => setBuckets({ ...buckets, [key]: Number(e.target.value) })}
    />
  );
  const end = TECHNIQUES.filter((t) => t.anchor === 'Y')
    .map((t) => techniqueName(t, school))
    .join(', ');
  return (
    <section className="card" aria-label="Counting rules">
      <header>
        <h2>Counting rules</h2>
        {mayKeep && (
          <Button
            onClick={() => setOpen(!open)}
            aria-expanded={open}
            aria-label={open ? 'Put the rules away' : 'Change the rules'}
          >
            {open ? 'Close' : 'Change'}
          </Button>
        )}
      </header>
      <p className="small quiet">
        Strength by {rules.look.strength.map((r) => STRENGTH_WORD[r]).join(', then ')}; on the tight end{' '}
        {TECHNIQUES.filter((t) => t.anchor === 'Y')
          .map((t) => techniqueName(t, rules.look.school))
          .join(', ')}
        ; the box {rules.look.box.lateral} yd outside the end man, {rules.look.box.depth} deep; success{' '}
        {rules.success.name}; {rules.zones.length} zones.
      </p>
      {open && (
        <form
          style={{ display: 'grid', gap: 12, marginTop: 10 }}
          onSubmit={(e) => {
            e.preventDefault();
            keep();
          }}
        >
          {problem && (
            <Alert severity="error" variant="outlined">
              {problem}
            </Alert>
          )}
          <div style={{ display: 'grid', gridTemplateColumns: 'repeat(2, 1fr)', gap: 10 }}>
            {order.map((r, i) => (
              <TextBox
                key={i}
                select
                label={i === 0 ? 'strength by' : 'then by'}
                value={r}
                onChange={(e) =>
                  setOrder(order.map((x, j) => (j === i ? (e.target.value as StrengthRule | '') : x)))
                }
              >
                <option value="">nothing</option>
                {STRENGTH_RULES.map((s) => (
                  <option key={s} value={s}>
                    {STRENGTH_WORD[s]}
                  </option>
                ))}
              </TextBox>
            ))}
            <TextBox
              select
              label="tight end numbers"
              value={school}
              onChange={(e) => setSchool(e.target.value as typeof school)}
              helperText={`inside out: ${end}`}
            >
              {TIGHT_END_SCHOOLS.map((s) => (
                <option key={s} value={s}>
                  school {s}
                </option>
              ))}
            </TextBox>
            <TextBox
              select
              label="success"
              value={known?.name ?? 'own'}
              onChange={(e) => {
                const r = SUCCESS_RULES.find((x) => x.name === e.target.value);
                if (r) setPercent(r.percent.map(String));
              }}
              helperText="percent of the distance on 1st, 2nd, 3rd and 4th"
            >
              {SUCCESS_RULES.map((r) => (
                <option key={r.name} value={r.name}>
                  {r.name}
                </option>
              ))}
              <option value="own">own numbers</option>
            </TextBox>
            {percent.map((p, i) => (
              <TextBox
                key={i}
                type="number"
                label={`success ${['1st', '2nd', '3rd and 4th'][i]}, %`}
                value={p}
                onChange={(e) => setPercent(percent.map((x, j) => (j === i ? e.target.value : x)))}
              />
            ))}
            <TextBox
              type="number"
              label="box: yards outside the end man"
              value={box.lateral}
              onChange={(e) => setBox({ ...box, lateral: e.target.value })}
              htmlInput={{ step: 0.5 }}
            />
            <TextBox
              type="number"
              label="box: yards deep"
              value={box.depth}
              onChange={(e) => setBox({ ...box, depth: e.target.value })}
              htmlInput={{ step: 0.5 }}
            />
            <TextBox
              select
              label="situations"
              value={
                JSON.stringify(buckets) === JSON.stringify(DEFAULT_BUCKETS)
                  ? 'a'
                  : JSON.stringify(buckets) === JSON.stringify(OTHER_BUCKETS)
                    ? 'b'
                    : 'own'
              }
              onChange={(e) =>
                setBuckets(
                  e.target.value === 'a' ? DEFAULT_BUCKETS : e.target.value === 'b' ? OTHER_BUCKETS : buckets,
                )
              }
            >
              <option value="a">medium 3–6, extra long 11+</option>
              <option value="b">medium 4–6, the first play of a drive folded in</option>
              <option value="own">own edges</option>
            </TextBox>
            {edge('secondMedium', '2nd medium from')}
            {edge('secondLong', '2nd long from')}
            {edge('thirdMedium', '3rd medium from')}
            {edge('thirdLong', '3rd long from')}
            <TextBox
              type="number"
              label="3rd extra long from"
              value={buckets.thirdExtraLong ?? ''}
              onChange={(e) =>
                setBuckets({
                  ...buckets,
                  thirdExtraLong: e.target.value === '' ? null : Number(e.target.value),
                })
              }
            />
          </div>
          <FormControlLabel
            control={
              <Checkbox
                size="small"
                checked={buckets.freshFirst}
                onChange={(e) => setBuckets({ ...buckets, freshFirst: e.target.checked })}
              />
            }
            label="the first play of a drive is a situation of its own"
          />
          <table className="rows tight">
            <thead>
              <tr>
                <th>zone</th>
                <th>yards to goal, from</th>
                <th>to</th>
              </tr>
            </thead>
            <tbody>
              {zones.map((z, i) => (
                <tr key={z.key}>
                  <td>
                    <input
                      aria-label={`zone ${i + 1}, name`}
                      value={z.label}
                      size={14}
                      maxLength={30}
                      onChange={(e) =>
                        setZones(zones.map((x, j) => (j === i ? { ...x, label: e.target.value } : x)))
                      }
                    />
                  </td>
                  <td>
                    <input
                      aria-label={`${z.label}, from`}
                      size={3}
                      inputMode="numeric"
                      value={z.from}
                      onChange={(e) =>
                        setZones(zones.map((x, j) => (j === i ? { ...x, from: e.target.value } : x)))
                      }
                    />
                  </td>
                  <td>
                    <input
                      aria-label={`${z.label}, to`}
                      size={3}
                      inputMode="numeric"
                      value={z.to}
                      onChange={(e) =>
                        setZones(zones.map((x, j) => (j === i ? { ...x, to: e.target.value } : x)))
                      }
                    />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <div style={{ display: 'flex', gap: 8 }}>
            <Button type="submit" variant="contained" disabled={busy} aria-label="Save the rules">
              Save
            </Button>
            <Button disabled={busy} onClick={() => onKeep(null)}>
              Reset to defaults
            </Button>
          </div>
        </form>
      )}
      {JSON.stringify(rules) !== JSON.stringify(DEFAULT_RULES) && (
        <p className="small">Changed by this staff.</p>
      )}
    </section>
  );
}
