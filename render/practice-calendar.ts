import 'server-only';
import { createEvents, type DateTime } from 'ics';
import { clockOf, CONTACT_CAUTION, CONTACT_LABEL, type ScriptDay } from '@/core/plan';

const parts = (iso: string): [number, number, number] =>
  iso.slice(0, 10).split('-').map(Number) as [number, number, number];

/** Practices as iCalendar (RFC 5545), at the clock of wherever they are read: practice is where the team is. */
export function practiceCalendar(key: string, name: string, script: readonly ScriptDay[], now: Date): string {
  const stamp: DateTime = now.getTime();
  const { error, value } = createEvents(
    script.flatMap((day) =>
      day.date === null
        ? []
        : [
            {
              uid: `${key}-${day.before}@vobrik`,
              title: `Practice, ${day.before} ${day.before === 1 ? 'day' : 'days'} before: ${name}`,
              start: [...parts(day.date), Math.floor(day.from / 60), day.from % 60] as DateTime,
              startInputType: 'local' as const,
              startOutputType: 'local' as const,
              duration: {
                hours: Math.floor((day.until - day.from) / 60),
                minutes: (day.until - day.from) % 60,
              },
              created: stamp,
              lastModified: stamp,
              description: [
                ...day.periods.map(
                  (p) =>
                    `${clockOf(p.from)} ${p.name}, ${p.minutes} min, ${CONTACT_LABEL[p.contact]}${p.reps.length > 0 ? `, ${p.reps.length} reps` : ''}`,
                ),
                CONTACT_CAUTION,
              ].join('\n'),
            },
          ],
    ),
    { productId: 'vobrik', calName: `Practice: ${name}` },
  );
  if (error || value === null || value === undefined) throw error ?? new Error('no calendar');
  return value;
}
