import { NextResponse } from 'next/server';
import { openEm } from '@/store/orm';

export const dynamic = 'force-dynamic';

/** Answers 200 when the database does, 503 while it does not. */
export async function GET(): Promise<Response> {
  try {
    await (await openEm()).execute('select 1');
    return NextResponse.json({ ok: true });
  } catch {
    return NextResponse.json({ ok: false }, { status: 503 });
  }
}
