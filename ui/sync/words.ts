/** What waits or was refused, in a coach's words. */
import { SNAP_FIELDS, writeFieldText, type SnapField } from '@/core/snap';
import type { Queued } from '@/core/sync';

/** A field's value as the echo says it. */
export const fieldWords = (field: string, value: unknown): string => {
  if (value === '-') return 'none';
  if (value === '?') return 'not visible';
  if (!Object.hasOwn(SNAP_FIELDS, field))
    return typeof value === 'object' ? JSON.stringify(value) : String(value ?? 'blank');
  try {
    return writeFieldText(field as SnapField, value) || 'blank';
  } catch {
    return JSON.stringify(value);
  }
};

export const fieldLabel = (field: string): string =>
  Object.hasOwn(SNAP_FIELDS, field) ? SNAP_FIELDS[field as SnapField].label : field;

/** One line: what was to be done. */
export function operationWords({ op }: Queued): string {
  if (op.do === 'put' && op.kind === 'snap')
    return `new snap: ${Object.entries(op.fields)
      .filter(([, v]) => v !== null && !(Array.isArray(v) && v.length === 0))
      .map(([f, v]) => `${fieldLabel(f)} ${fieldWords(f, v)}`)
      .join(', ')}`;
  if (op.do === 'put' || op.do === 'move')
    return `${op.do === 'put' ? 'new' : 'move'} ${op.kind}: ${String(op.fields.word ?? op.fields.name ?? op.fields.section ?? '')}`;
  if (op.do === 'patch')
    return Object.entries(op.fields)
      .map(([f, p]) => `${fieldLabel(f)} ${fieldWords(f, p.value)}`)
      .join(', ');
  return `${op.do === 'delete' ? 'remove' : 'bring back'} a ${op.kind}`;
}

/** The page where a scope is worked on. */
export function scopeHref(scope: string): string {
  const at = scope.indexOf(':');
  const [kind, key] = at < 0 ? [scope, ''] : [scope.slice(0, at), scope.slice(at + 1)];
  if (kind === 'game') return `/log/${encodeURIComponent(key)}`;
  if (kind === 'blind') return `/log/${encodeURIComponent(key)}/blind`;
  if (kind === 'sheet') return `/plan/${encodeURIComponent(key)}`;
  return '/book';
}
