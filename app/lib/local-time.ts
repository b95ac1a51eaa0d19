/** The time of a print as the server's own clock on the wall has it: a coach compares papers by it. */

/** "2026-11-26 16:10 EST". `zone`: an IANA name; the machine's own if not said. */
export function localTime(iso: string, zone?: string): string {
  const parts = new Intl.DateTimeFormat('en-US', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
    timeZoneName: 'short',
  }).formatToParts(new Date(iso));
  const of = (type: Intl.DateTimeFormatPartTypes): string => parts.find((p) => p.type === type)!.value;
  return `${of('year')}-${of('month')}-${of('day')} ${of('hour')}:${of('minute')} ${of('timeZoneName')}`;
}
