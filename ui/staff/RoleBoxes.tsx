'use client';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { ROLES, type Role } from '@/core/staff';

interface RoleBoxesProps {
  readonly roles: readonly Role[];
  readonly onChange: (roles: readonly Role[]) => void;
}

export function RoleBoxes({ roles, onChange }: RoleBoxesProps) {
  return ROLES.map((role) => (
    <FormControlLabel
      key={role}
      control={
        <Checkbox
          size="small"
          checked={roles.includes(role)}
          onChange={(e) => onChange(e.target.checked ? [...roles, role] : roles.filter((r) => r !== role))}
        />
      }
      label={role}
    />
  ));
}
