'use client';
/** The parts of the counting rules. */
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import {
  EVEN_AFTER_MOTION,
  STRENGTH_RULES,
  TECHNIQUES,
  techniqueName,
  TIGHT_END_SCHOOLS,
  type StrengthRule,
} from '@/core/look';
import { DOUBTS, DOUBT_WORDS } from '@/core/read/doubts';
import { SUCCESS_RULES } from '@/core/read/staff-rules';
import { TextBox } from '../shared/TextBox';
import {
  bucketSet,
  bucketSetOf,
  EXPLOSIVE_NAMES,
  explosiveName,
  knownSuccess,
  type RulesDraft,
} from './rules-draft';
import { EVEN_WORD, STRENGTH_WORD } from './words';

interface FieldsProps {
  readonly draft: RulesDraft;
  readonly set: (part: Partial<RulesDraft>) => void;
}

const at = <T,>(list: readonly T[], i: number, value: T): T[] => list.map((x, j) => (j === i ? value : x));

/** Strength, tight end numbers, the box. */
export function LookFields({
  draft: { order, evenAfterMotion, keepHoldsEnd, school, box },
  set,
}: FieldsProps) {
  const onEnd = TECHNIQUES.filter((t) => t.anchor === 'Y').map((t) => techniqueName(t, school));
  return (
    <>
      {order.map((rule, i) => (
        <TextBox
          key={i}
          select
          label={i === 0 ? 'passing strength by' : 'then by'}
          value={rule}
          onChange={(e) => set({ order: at(order, i, e.target.value as StrengthRule | '') })}
        >
          <option value="">nothing</option>
          {STRENGTH_RULES.map((rule) => (
            <option key={rule} value={rule}>
              {STRENGTH_WORD[rule]}
            </option>
          ))}
        </TextBox>
      ))}
      <TextBox
        select
        label="even after motion, it"
        value={evenAfterMotion}
        onChange={(e) => set({ evenAfterMotion: e.target.value as typeof evenAfterMotion })}
        helperText="the run strength is the longer line; a trade or shift moves it"
      >
        {EVEN_AFTER_MOTION.map((rule) => (
          <option key={rule} value={rule}>
            {EVEN_WORD[rule]}
          </option>
        ))}
      </TextBox>
      <TextBox
        select
        label="back-side end of a wide zone"
        value={keepHoldsEnd ? 'held' : 'free'}
        onChange={(e) => set({ keepHoldsEnd: e.target.value === 'held' })}
      >
        <option value="held">held by the keep or boot</option>
        <option value="free">free</option>
      </TextBox>
      <TextBox
        select
        label="tight end numbers"
        value={school}
        onChange={(e) => set({ school: e.target.value as typeof school })}
        helperText={`inside out: ${onEnd.join(', ')}`}
      >
        {TIGHT_END_SCHOOLS.map((gap) => (
          <option key={gap} value={gap}>
            school {gap}
          </option>
        ))}
      </TextBox>
      <TextBox
        type="number"
        label="box: yards outside the end man"
        value={box.lateral}
        onChange={(e) => set({ box: { ...box, lateral: e.target.value } })}
        htmlInput={{ step: 0.5 }}
      />
      <TextBox
        type="number"
        label="box: yards deep"
        value={box.depth}
        onChange={(e) => set({ box: { ...box, depth: e.target.value } })}
        htmlInput={{ step: 0.5 }}
      />
    </>
  );
}

export function SuccessFields({ draft: { percent, explosive, doubts }, set }: FieldsProps) {
  return (
    <>
      <TextBox
        select
        label="success"
        value={knownSuccess(percent)?.name ?? 'own'}
        onChange={(event) => {
          const rule = SUCCESS_RULES.find((r) => r.name === event.target.value);
          if (rule) set({ percent: rule.percent.map(String) });
        }}
        helperText="percent of the distance on 1st, 2nd, 3rd and 4th"
      >
        {SUCCESS_RULES.map((successRule) => (
          <option key={successRule.name} value={successRule.name}>
            {successRule.name}
          </option>
        ))}
        <option value="own">own numbers</option>
      </TextBox>
      {percent.map((name, i) => (
        <TextBox
          key={i}
          type="number"
          label={`success ${['1st', '2nd', '3rd and 4th'][i]}, %`}
          value={name}
          onChange={(e) => set({ percent: at(percent, i, e.target.value) })}
        />
      ))}
      <TextBox
        select
        label="explosive"
        value={explosiveName(explosive)}
        onChange={(event) => {
          const [run = '', pass = ''] = event.target.value.split('/');
          if (pass !== '') set({ explosive: { run, pass } });
        }}
        helperText="yards of a run, yards of a pass"
      >
        {EXPLOSIVE_NAMES.map((name) => (
          <option key={name} value={name}>
            {name}
          </option>
        ))}
        <option value="own">own numbers</option>
      </TextBox>
      {(['run', 'pass'] as const).map((kind) => (
        <TextBox
          key={kind}
          type="number"
          label={`explosive ${kind}, yd`}
          value={explosive[kind]}
          onChange={(e) => set({ explosive: { ...explosive, [kind]: e.target.value } })}
        />
      ))}
      <TextBox
        select
        label="tags in doubt"
        value={doubts}
        onChange={(e) => set({ doubts: DOUBTS.find((d) => d === e.target.value)! })}
        helperText="what a charter was not sure of, or guessed"
      >
        {DOUBTS.map((d) => (
          <option key={d} value={d}>
            {DOUBT_WORDS[d]}
          </option>
        ))}
      </TextBox>
    </>
  );
}

const EDGES = [
  ['secondMedium', '2nd medium from'],
  ['secondLong', '2nd long from'],
  ['thirdMedium', '3rd medium from'],
  ['thirdLong', '3rd long from'],
] as const;

/** Where the situations begin. */
export function BucketFields({ draft: { buckets }, set }: FieldsProps) {
  const { thirdExtraLong: extra } = buckets;
  return (
    <>
      <TextBox
        select
        label="situations"
        value={bucketSetOf(buckets)}
        onChange={(e) => set({ buckets: bucketSet(e.target.value, buckets) })}
      >
        <option value="a">medium 3–6, extra long 11+</option>
        <option value="b">medium 4–6, the first play of a drive folded in</option>
        <option value="own">own edges</option>
      </TextBox>
      {EDGES.map(([key, label]) => (
        <TextBox
          key={key}
          type="number"
          label={label}
          value={buckets[key]}
          onChange={(e) => set({ buckets: { ...buckets, [key]: Number(e.target.value) } })}
        />
      ))}
      <TextBox
        type="number"
        label="3rd extra long from"
        value={extra ?? ''}
        onChange={(event) => {
          const thirdExtraLong = event.target.value === '' ? null : Number(event.target.value);
          set({ buckets: { ...buckets, thirdExtraLong } });
        }}
      />
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={buckets.freshFirst}
            onChange={(e) => set({ buckets: { ...buckets, freshFirst: e.target.checked } })}
          />
        }
        label="the first play of a drive is a situation of its own"
      />
    </>
  );
}

export function ZoneTable({ draft: { zones }, set }: FieldsProps) {
  const cell = (i: number, field: 'label' | 'from' | 'to', name: string) => (
    <td>
      <input
        aria-label={name}
        value={zones[i]![field]}
        size={field === 'label' ? 14 : 3}
        maxLength={30}
        {...(field === 'label' ? {} : { inputMode: 'numeric' as const })}
        onChange={(e) => set({ zones: at(zones, i, { ...zones[i]!, [field]: e.target.value }) })}
      />
    </td>
  );
  return (
    <table className="rows tight">
      <thead>
        <tr>
          <th>zone</th>
          <th>yards to goal, from</th>
          <th>to</th>
        </tr>
      </thead>
      <tbody>
        {zones.map((zone, i) => (
          <tr key={zone.key}>
            {cell(i, 'label', `zone ${i + 1}, name`)}
            {cell(i, 'from', `${zone.label}, from`)}
            {cell(i, 'to', `${zone.label}, to`)}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
