/** Operations where they enter the server or leave the browser's storage. */
import { z } from 'zod';
import { ROW_KINDS } from './operation';

const key = z
  .string()
  .min(1)
  .max(120)
  .regex(/^[^\p{Cc}\p{Cs}]*$/u, 'holds a control character');
const common = { id: key, kind: z.enum(ROW_KINDS), row: key, epoch: z.string().max(80) };
const fields = z.record(z.string().max(60), z.unknown());
/** The shape of one operation, where it enters the server or leaves the browser's storage. */
export const operationSchema = z.discriminatedUnion('do', [
  z.object({ ...common, do: z.literal('put'), fields, after: key.nullable() }),
  z.object({
    ...common,
    do: z.literal('patch'),
    fields: z.record(
      z.string().max(60),
      z.object({ value: z.unknown(), over: z.union([z.int().min(1), key]) }),
    ),
  }),
  z.object({ ...common, do: z.literal('move'), fields, after: key.nullable() }),
  z.object({ ...common, do: z.literal('delete') }),
  z.object({ ...common, do: z.literal('restore') }),
]);

/** A request's outer shape; each operation is read by itself, so that a bad one takes no good one with it. */
export const requestSchema = z.object({
  scope: z.string().min(1).max(160),
  ops: z.array(z.unknown()).min(1).max(200),
});
