'use client';
/** The members with their roles, and adding one. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { MemberInfo } from '@/core/exchange/types';
import { ROLES, type Role } from '@/core/staff';
import { TextBox } from '../shared/TextBox';
import { RoleBoxes } from './RoleBoxes';
import type { RunChange } from './words';

interface MembersCardProps {
  readonly members: readonly MemberInfo[];
  readonly me: string;
  readonly busy: boolean;
  readonly mayChange: boolean;
  readonly run: RunChange;
}

export function MembersCard({ members, me, busy, mayChange, run }: MembersCardProps) {
  const [changing, setChanging] = useState<string | null>(null);
  const changed = members.find((m) => m.id === changing);
  return (
    <section className="card" aria-label="Members">
      <header>
        <h2>Members</h2>
      </header>
      <table className="rows">
        <thead>
          <tr>
            <th>Name</th>
            <th>Roles</th>
            <th>
              <span className="hide">Change</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {members.map((member) => (
            <tr key={member.id}>
              <td>
                {member.name}
                {member.id === me ? ' (you)' : ''}
              </td>
              <td>{member.removed ? 'removed; his tags keep the name' : member.roles.join(', ')}</td>
              <td>
                {mayChange && !member.removed && (
                  <button
                    type="button"
                    className="plain small"
                    style={{ marginRight: 10 }}
                    disabled={busy}
                    aria-expanded={changing === member.id}
                    onClick={() => setChanging(changing === member.id ? null : member.id)}
                    aria-label={`change roles of ${member.name}`}
                  >
                    roles
                  </button>
                )}
                {mayChange && !member.removed && member.id !== me && (
                  <button
                    type="button"
                    className="plain small"
                    disabled={busy}
                    onClick={() => run({ op: 'remove', id: member.id })}
                    aria-label={`remove ${member.name}`}
                  >
                    remove
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {changed && (
        <RolesForm
          key={changed.id}
          member={changed}
          busy={busy}
          onKeep={(roles) => run({ op: 'roles', id: changed.id, roles }, () => setChanging(null))}
        />
      )}
      {mayChange && <AddMember busy={busy} run={run} />}
    </section>
  );
}

function RolesForm({
  member,
  busy,
  onKeep,
}: {
  member: MemberInfo;
  busy: boolean;
  onKeep: (roles: readonly Role[]) => void;
}) {
  const [roles, setRoles] = useState<readonly Role[]>(ROLES.filter((r) => member.roles.includes(r)));
  return (
    <form
      className="toolbar"
      aria-label={`Roles of ${member.name}`}
      onSubmit={(event) => {
        event.preventDefault();
        onKeep(roles);
      }}
    >
      <strong>{member.name}</strong>
      <RoleBoxes roles={roles} onChange={setRoles} />
      <Button type="submit" variant="outlined" disabled={busy || roles.length === 0}>
        Save roles
      </Button>
    </form>
  );
}

function AddMember({ busy, run }: { readonly busy: boolean; readonly run: RunChange }) {
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const [roles, setRoles] = useState<readonly Role[]>(['charter']);
  return (
    <form
      id="add-member"
      style={{ display: 'grid', gap: 10, marginTop: 14, maxWidth: 420 }}
      onSubmit={(event) => {
        event.preventDefault();
        run({ op: 'add', name, password, roles }, () => {
          setName('');
          setPassword('');
        });
      }}
    >
      <h2>Add a member</h2>
      <TextBox
        label="Name"
        required
        value={name}
        autoComplete="off"
        onChange={(e) => setName(e.target.value)}
      />
      <TextBox
        label="First password"
        type="password"
        required
        autoComplete="new-password"
        value={password}
        onChange={(e) => setPassword(e.target.value)}
        helperText="at least ten characters; hand it over in person"
      />
      <div>
        <RoleBoxes roles={roles} onChange={setRoles} />
      </div>
      <Button type="submit" variant="contained" disabled={busy}>
        Add
      </Button>
    </form>
  );
}
