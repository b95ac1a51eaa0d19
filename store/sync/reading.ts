/** A value of an operation by its schema: refused in the schema's own words. */
import 'server-only';
import type { z } from 'zod';
import { RefusedOperation } from './writing';

export function readBy<S extends z.ZodType>(schema: S, value: unknown): z.output<S> {
  const read = schema.safeParse(value);
  if (read.success) return read.data;
  const { message } = read.error.issues[0]!;
  throw new RefusedOperation('value', message.endsWith('.') ? message : `${message}.`);
}
