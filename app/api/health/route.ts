import { NextResponse } from 'next/server';
import { HOSTS, isOurHost } from '@/app/lib/origin';
import { epochOf } from '@/store/sync';

export const dynamic = 'force-dynamic';

/** Answers 200 when the database does, with its restore epoch; 503 while it does not. */
export async function GET(request: Request): Promise<Response> {
  if (!isOurHost(request.headers.get('host'), HOSTS))
    return NextResponse.json({ ok: false }, { status: 421 });
  try {
    return NextResponse.json(
      { ok: true, epoch: await epochOf() },
      { headers: { 'Cache-Control': 'no-store' } },
    );
  } catch {
    return NextResponse.json({ ok: false }, { status: 503, headers: { 'Cache-Control': 'no-store' } });
  }
}
