'use client';
/** The staff's counting rules, for every screen below: change one and all that depends on it is computed anew. */
import { createContext, useContext } from 'react';
import type { StaffRules } from '@/core/read/staff-rules';

export const StaffRulesContext = createContext<StaffRules | null>(null);
export function useStaffRules(): StaffRules {
  const rules = useContext(StaffRulesContext);
  if (!rules) throw new Error('outside the frame');
  return rules;
}
