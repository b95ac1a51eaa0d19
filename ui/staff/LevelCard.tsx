'use client';
/** The level profile: numbers and fouls as they ship, from memory, to be changed by an admin. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { PROFILE_NUMBERS, type LevelProfile, type ProfileChanges } from '@/core/field/profile';
import { TextBox } from '../shared/TextBox';

const SIDES = ['offense', 'defense'] as const;

interface LevelCardProps {
  readonly base: LevelProfile;
  readonly level: LevelProfile;
  readonly busy: boolean;
  readonly mayKeep: boolean;
  readonly onKeep: (changes: ProfileChanges | null) => void;
}

export function LevelCard({ base, level, busy, mayKeep, onKeep }: LevelCardProps) {
  const [open, setOpen] = useState(false);
  const shown = (n: (typeof PROFILE_NUMBERS)[number], levelProfile: LevelProfile): number =>
    n.own ? 100 - levelProfile[n.key] : levelProfile[n.key];
  const [numbers, setNumbers] = useState<Record<string, string>>(() =>
    Object.fromEntries(PROFILE_NUMBERS.map((n) => [n.key, String(Number(shown(n, level).toFixed(2)))])),
  );
  const [fouls, setFouls] = useState<Record<string, { yards: string; firstDown: boolean }>>(() =>
    Object.fromEntries(
      level.penalties.flatMap((penaltyRule) =>
        SIDES.flatMap((side) =>
          penaltyRule[side]
            ? [
                [
                  `${penaltyRule.name}|${side}`,
                  {
                    yards: penaltyRule[side].yards === null ? '' : String(penaltyRule[side].yards),
                    firstDown: penaltyRule[side].firstDown,
                  },
                ],
              ]
            : [],
        ),
      ),
    ),
  );
  const keep = () => {
    const changed: Record<string, number> = {};
    for (const n of PROFILE_NUMBERS) {
      const typed = Number(numbers[n.key]);
      if (typed !== Number(shown(n, base).toFixed(2))) changed[n.key] = n.own ? 100 - typed : typed;
    }
    const changedFouls: Record<string, { yards: number | null; firstDown: boolean }> = {};
    for (const penaltyRule of base.penalties)
      for (const side of SIDES) {
        const now = fouls[`${penaltyRule.name}|${side}`];
        const was = penaltyRule[side];
        if (!now || !was) continue;
        const yards = now.yards.trim() === '' ? null : Number(now.yards);
        if (yards !== was.yards || now.firstDown !== was.firstDown)
          changedFouls[`${penaltyRule.name}|${side}`] = { yards, firstDown: now.firstDown };
      }
    onKeep({ numbers: changed, fouls: changedFouls });
  };
  return (
    <section className="card" aria-label="Level">
      <header>
        <h2>
          Level: {level.name}, {level.season}
        </h2>
        {mayKeep && (
          <Button onClick={() => setOpen(!open)} aria-expanded={open}>
            {open ? 'Close' : 'Change'}
          </Button>
        )}
      </header>
      <p className="small quiet">
        All from memory; the rulebook governs. Kickoff from own {100 - level.kickoffToGoal}, kickoff touchback
        at own {100 - level.touchbackKickoffToGoal}, try from {level.tryKickToGoal}, hash{' '}
        {level.hashToSideline.toFixed(1)} yd from the sideline. Defer to your association’s rules and your
        medical staff.
      </p>
      {open && (
        <form
          style={{ display: 'grid', gap: 12, marginTop: 10 }}
          onSubmit={(event) => {
            event.preventDefault();
            keep();
          }}
        >
          <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 10 }}>
            {PROFILE_NUMBERS.map((n) => (
              <TextBox
                key={n.key}
                type="number"
                label={n.label}
                value={numbers[n.key] ?? ''}
                htmlInput={{ step: 'any' }}
                onChange={(e) => setNumbers({ ...numbers, [n.key]: e.target.value })}
              />
            ))}
          </div>
          <table className="rows">
            <thead>
              <tr>
                <th>Foul</th>
                {SIDES.map((side) => (
                  <th key={side}>{side}: yards, first down</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {base.penalties.map((penaltyRule) => (
                <tr key={penaltyRule.name}>
                  <td>{penaltyRule.name}</td>
                  {SIDES.map((side) => {
                    const id = `${penaltyRule.name}|${side}`;
                    const now = fouls[id];
                    return (
                      <td key={side}>
                        {now && penaltyRule[side] && (
                          <>
                            <input
                              aria-label={`${penaltyRule.name}, ${side}, yards`}
                              size={3}
                              inputMode="numeric"
                              value={now.yards}
                              placeholder="spot"
                              onChange={(event) =>
                                setFouls({
                                  ...fouls,
                                  [id]: { ...now, yards: event.target.value.replace(/\D/g, '').slice(0, 2) },
                                })
                              }
                            />{' '}
                            {side === 'defense' && (
                              <input
                                type="checkbox"
                                aria-label={`${penaltyRule.name}, automatic first down`}
                                checked={now.firstDown}
                                onChange={(event) =>
                                  setFouls({ ...fouls, [id]: { ...now, firstDown: event.target.checked } })
                                }
                              />
                            )}
                          </>
                        )}
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
          <div style={{ display: 'flex', gap: 8 }}>
            <Button type="submit" variant="contained" disabled={busy}>
              Save
            </Button>
            <Button disabled={busy} onClick={() => onKeep(null)}>
              Reset to defaults
            </Button>
          </div>
        </form>
      )}
    </section>
  );
}
