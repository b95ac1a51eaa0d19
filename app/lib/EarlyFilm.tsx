import { headers } from 'next/headers';
import { EARLY_FILM, HAVE_FILM } from '@/client/early-film';
import type { Actor } from '@/core/exchange/types';

/**
 * Asks for the film while the page's script is still on its way: without the games that this browser has, by the list
 * that it noted when it kept them (`client/film.ts` takes the answer).
 */
export async function EarlyFilm({ actor, path }: { readonly actor: Actor; readonly path: string }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  const said = (value: string): string => JSON.stringify(value).replace(/</g, '\\u003c');
  const owner = `${actor.programId}.${actor.memberId}`;
  const script = `(()=>{const p=${said(path)},o=${said(owner)},s=new AbortController;let h='';try{h=localStorage.getItem(${said(HAVE_FILM)}+o+p)||''}catch{}const a=fetch(h?p+(p.includes('?')?'&':'?')+'have='+encodeURIComponent(h):p,{headers:{'x-vobrik-owner':o},signal:s.signal});a.catch(()=>{});window.${EARLY_FILM}={p,o,h,a,s}})()`;
  return <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: script }} />;
}
