'use client';
/** The staff's counting rules. What depends on them is computed anew everywhere. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { TECHNIQUES, techniqueName } from '@/core/look';
import { DOUBT_WORDS } from '@/core/read/doubts';
import { DEFAULT_RULES, type StaffRules } from '@/core/read/staff-rules';
import { STRENGTH_WORD } from './words';
import { part } from '../shared/part';

const RulesForm = part(() => import('./RulesForm'));

export interface RulesCardProps {
  readonly rules: StaffRules;
  readonly busy: boolean;
  readonly mayKeep: boolean;
  /** Null: the defaults again. */
  readonly onKeep: (rules: StaffRules | null) => void;
}

export function RulesCard({ rules, busy, mayKeep, onKeep }: RulesCardProps) {
  const [open, setOpen] = useState(false);
  const { look, success, explosive, zones, doubts } = rules;
  const onEnd = TECHNIQUES.filter((t) => t.anchor === 'Y').map((t) => techniqueName(t, look.school));
  return (
    <section className="card" aria-label="Counting rules">
      <header>
        <h2>Counting rules</h2>
        {mayKeep && (
          <Button
            onClick={() => setOpen(!open)}
            aria-expanded={open}
            aria-label={open ? 'Close the rules' : 'Change the rules'}
          >
            {open ? 'Close' : 'Change'}
          </Button>
        )}
      </header>
      <p className="small quiet">
        Passing strength by {look.strength.map((r) => STRENGTH_WORD[r]).join(', then ')}; on the tight end{' '}
        {onEnd.join(', ')}; the box {look.box.lateral} yd outside the end man, {look.box.depth} deep; success{' '}
        {success.name}; explosive from {explosive.run} yd of a run, {explosive.pass} of a pass; {zones.length}{' '}
        zones; tags in doubt: {DOUBT_WORDS[doubts]}.
      </p>
      {open && <RulesForm rules={rules} busy={busy} onKeep={onKeep} />}
      {JSON.stringify(rules) !== JSON.stringify(DEFAULT_RULES) && (
        <p className="small">Changed by this staff.</p>
      )}
    </section>
  );
}
