'use client';
/** The staff's counting rules, for every screen below: change one and all that depends on it is computed anew. */
import { createContext, useContext } from 'react';
import { DEFAULT_RULES, type StaffRules } from '@/core/read/staff-rules';

export const StaffRulesContext = createContext<StaffRules>(DEFAULT_RULES);
export const useStaffRules = (): StaffRules => useContext(StaffRulesContext);
