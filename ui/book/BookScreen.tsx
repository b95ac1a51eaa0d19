'use client';
/** The staff's words: look one up, add, give an alias, merge two words for one thing; and the play list. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState, useTransition } from 'react';
import { findTerm, normalizePhrase, phrasesOf, storedValue, TERM_KIND_LABEL, TERM_KINDS, type Book, type Term, type TermKind } from '@/core/book';
import { COLLEGE } from '@/core/field';
import { lineUp, receivers, structureOf } from '@/core/look';
import { playCall, playLook, type PlayCard } from '@/core/plan';
import { Chalk } from '../chalk/Chalk';
import { useUrlState } from '../useUrlState';

export interface BookAnswer { readonly ok: boolean; readonly words: string }

export interface BookScreenProps {
  readonly book: Book;
  readonly use: Readonly<Record<string, number>>;
  readonly plays: readonly PlayCard[];
  readonly act: (change: unknown) => Promise<BookAnswer>;
  readonly mayMerge: boolean;
  readonly mayAdd: boolean;
  readonly mayPlay: boolean;
}

const listOf = (text: string): string[] => text.split(',').map((a) => a.trim()).filter(Boolean);

export function BookScreen({ book, use, plays, act, mayMerge, mayAdd, mayPlay }: BookScreenProps) {
  const [url, setUrl] = useUrlState();
  const [answer, setAnswer] = useState<BookAnswer | null>(null);
  const [busy, begin] = useTransition();
  const [word, setWord] = useState('');
  const [aliases, setAliases] = useState('');
  const [merge, setMerge] = useState<Term | null>(null);
  const [keep, setKeep] = useState('');
  const [edit, setEdit] = useState<{ term: Term; text: string } | null>(null);
  const [play, setPlay] = useState({ name: '', personnel: '', formation: '', formationSide: '', concept: '', direction: '' });
  const tab = url.get('kind') === 'plays' ? 'plays' : ((TERM_KINDS as readonly string[]).includes(url.get('kind') ?? '') ? (url.get('kind') as TermKind) : 'formation');
  const find = normalizePhrase(url.get('find') ?? '');
  const kind: TermKind = tab === 'plays' ? 'formation' : tab;
  const terms = book.terms.filter((t) => (find === '' ? t.kind === kind : phrasesOf(t).some((p) => p.includes(find))));
  const count = (t: Term) => use[`${t.kind}|${storedValue(t)}`] ?? 0;
  const run = (change: unknown, after?: () => void) => begin(async () => {
    const result = await act(change);
    setAnswer(result);
    if (result.ok) after?.();
  });
  const concepts = book.terms.filter((t) => t.kind === 'run' || t.kind === 'pass');
  const chosen = concepts.find((t) => `${t.kind}|${storedValue(t)}` === play.concept);

  return (
    <>
      <div className="slices">
        <h1>Book</h1>
        <span className="small quiet">{book.name}: {book.terms.length} words, {plays.length} plays</span>
        <TextField label="find a word" value={url.get('find') ?? ''} onChange={(e) => setUrl({ find: e.target.value || null })} />
      </div>
      <div className="slices" role="group" aria-label="Kinds of words">
        {TERM_KINDS.map((k) => <Button key={k} variant={tab === k && find === '' ? 'contained' : 'text'} aria-pressed={tab === k} onClick={() => setUrl({ kind: k, find: null })}>{TERM_KIND_LABEL[k]} {book.terms.filter((t) => t.kind === k).length}</Button>)}
        <Button variant={tab === 'plays' ? 'contained' : 'text'} aria-pressed={tab === 'plays'} onClick={() => setUrl({ kind: 'plays', find: null })}>play list {plays.length}</Button>
      </div>
      {answer && <Alert severity={answer.ok ? 'success' : 'error'} variant="outlined" onClose={() => setAnswer(null)}>{answer.words}</Alert>}
      {tab === 'plays' && find === '' ? (
        <div className="weekgrid">
          <section className="card" aria-label="Play list">
            <table className="rows"><thead><tr><th>Name</th><th>From</th><th>Call</th></tr></thead><tbody>{plays.map((p) => <tr key={p.id}><td><strong>{p.name}</strong></td><td>{playLook(p)}</td><td>{playCall(p)}</td></tr>)}</tbody></table>
            {plays.length === 0 && <p>No plays yet. Add one at the right: a look and a concept of your book.</p>}
          </section>
          {mayPlay && (
            <form className="card" style={{ display: 'grid', gap: 12, alignContent: 'start' }} onSubmit={(e) => { e.preventDefault(); run({ op: 'play', name: play.name, kind: chosen?.kind === 'run' ? 'run' : 'pass', personnel: play.personnel || null, formation: play.formation || null, formationSide: play.formationSide || null, concept: chosen ? storedValue(chosen) : '', direction: play.direction || null }, () => setPlay({ ...play, name: '' })); }}>
              <h2>Add a play</h2>
              <TextField label="Name" required value={play.name} onChange={(e) => setPlay({ ...play, name: e.target.value })} />
              <TextField label="People" placeholder="11" value={play.personnel} onChange={(e) => setPlay({ ...play, personnel: e.target.value })} error={play.personnel !== '' && !/^[0-5][0-5]$/.test(play.personnel)} helperText="two digits: backs, tight ends" />
              <TextField select label="Formation" value={play.formation} onChange={(e) => setPlay({ ...play, formation: e.target.value })}><MenuItem value="">any</MenuItem>{book.terms.filter((t) => t.kind === 'formation').map((t) => <MenuItem key={t.id} value={storedValue(t)}>{t.word}</MenuItem>)}</TextField>
              <TextField select label="Strong side" value={play.formationSide} onChange={(e) => setPlay({ ...play, formationSide: e.target.value })}><MenuItem value="">either</MenuItem><MenuItem value="L">left</MenuItem><MenuItem value="R">right</MenuItem></TextField>
              <TextField select required label="Concept" value={play.concept} onChange={(e) => setPlay({ ...play, concept: e.target.value })}>{concepts.map((t) => <MenuItem key={t.id} value={`${t.kind}|${storedValue(t)}`}>{t.word}, {t.kind}</MenuItem>)}</TextField>
              <TextField select label="Direction" value={play.direction} onChange={(e) => setPlay({ ...play, direction: e.target.value })}><MenuItem value="">either</MenuItem><MenuItem value="L">left</MenuItem><MenuItem value="R">right</MenuItem></TextField>
              <Button type="submit" variant="contained" disabled={busy || !chosen}>Add</Button>
            </form>
          )}
        </div>
      ) : (
        <div className="weekgrid">
          <section className="card" aria-label="Words">
            <table className="rows">
              <thead><tr>{kind === 'formation' && <th style={{ width: 300 }}>Drawn strong right</th>}<th>Word</th><th>Also said</th><th className="n">Snaps</th><th><span className="hide">Change</span></th></tr></thead>
              <tbody>
                {terms.map((t) => (
                  <tr key={t.id}>
                    {kind === 'formation' && <td>{t.kind === 'formation' && t.spots && <Chalk book={book} profile={COLLEGE} fields={{ formation: t.word, formationSide: 'R' }} hash={null} height={94} caption={false} />}</td>}
                    <td><strong>{t.word}</strong>{find !== '' && <span className="small quiet"> {t.kind}</span>}{t.kind === 'formation' && t.spots && <div className="small quiet">{structureWord(book, t)}</div>}</td>
                    <td>{t.aliases.join(', ')}</td>
                    <td className="n">{t.kind === 'tag' ? '' : count(t)}</td>
                    <td className="small" style={{ whiteSpace: 'nowrap', wordSpacing: 8 }}>
                      {mayAdd && <button type="button" className="plain small" onClick={() => setEdit({ term: t, text: t.aliases.join(', ') })} aria-label={`aliases of ${t.word}`}>aliases</button>}{' '}
                      {mayMerge && <button type="button" className="plain small" onClick={() => { setMerge(t); setKeep(''); }} aria-label={`merge ${t.word} into another word`}>merge</button>}{' '}
                      {mayAdd && count(t) === 0 && <button type="button" className="plain small" onClick={() => run({ op: 'remove', id: t.id })} aria-label={`remove ${t.word}`}>remove</button>}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            {terms.length === 0 && <p className="quiet">No word of the book fits “{find}”.</p>}
          </section>
          {mayAdd && (
            <form className="card" style={{ display: 'grid', gap: 12, alignContent: 'start' }} onSubmit={(e) => { e.preventDefault(); run({ op: 'add', kind, word, aliases: listOf(aliases) }, () => { setWord(''); setAliases(''); }); }}>
              <h2>Add to {TERM_KIND_LABEL[kind]}</h2>
              <TextField label="Word" required value={word} onChange={(e) => setWord(e.target.value)} slotProps={{ htmlInput: { maxLength: 60 } }} />
              <TextField label="Also said" placeholder="tight trips, tt" value={aliases} onChange={(e) => setAliases(e.target.value)} helperText="commas between" />
              <Button type="submit" variant="contained" disabled={busy}>Add</Button>
            </form>
          )}
        </div>
      )}
      <Dialog open={merge !== null} onClose={() => setMerge(null)} aria-labelledby="merge-title" fullWidth maxWidth="sm">
        <DialogTitle id="merge-title">Merge “{merge?.word}” into another word</DialogTitle>
        <DialogContent style={{ display: 'grid', gap: 12 }}>
          <p>{merge ? count(merge) : 0} logged snaps and the play list will say the kept word instead; “{merge?.word}” becomes one of its aliases, so typing it still works.</p>
          <TextField select label="Keep" value={keep} onChange={(e) => setKeep(e.target.value)}>{book.terms.filter((t) => t.kind === merge?.kind && t.id !== merge.id).map((t) => <MenuItem key={t.id} value={t.id}>{t.word}</MenuItem>)}</TextField>
        </DialogContent>
        <DialogActions><Button onClick={() => setMerge(null)}>Leave as it is</Button><Button variant="contained" disabled={keep === '' || busy} onClick={() => run({ op: 'merge', keep, drop: merge!.id }, () => setMerge(null))}>Merge</Button></DialogActions>
      </Dialog>
      <Dialog open={edit !== null} onClose={() => setEdit(null)} aria-labelledby="alias-title" fullWidth maxWidth="sm">
        <DialogTitle id="alias-title">Other words for “{edit?.term.word}”</DialogTitle>
        <DialogContent><TextField fullWidth margin="dense" label="Also said" value={edit?.text ?? ''} onChange={(e) => edit && setEdit({ ...edit, text: e.target.value })} helperText="commas between" /></DialogContent>
        <DialogActions><Button onClick={() => setEdit(null)}>Leave as it is</Button><Button variant="contained" disabled={busy} onClick={() => run({ op: 'aliases', id: edit!.term.id, aliases: listOf(edit!.text) }, () => setEdit(null))}>Keep</Button></DialogActions>
      </Dialog>
    </>
  );
}

function structureWord(book: Book, t: Term): string {
  const { left, right } = receivers(lineUp(findTerm(book, 'formation', t.word)?.spots ?? null, 'R', null));
  const s = structureOf(left.length, right.length);
  return `${s.label}${s.side === 'R' ? ', strong side right' : s.side === 'L' ? ', more to the left' : ', even'}`;
}
