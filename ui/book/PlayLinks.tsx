'use client';
/** What must be shown before a play, and what punishes what takes it away. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { TRIGGERS } from '@/core/book';
import { LINK_KINDS, type LinkCount, type PlayCard, type PlayLink } from '@/core/plan';
import { TextBox } from '../shared/TextBox';
import type { Run } from './useBookRun';

interface PlayLinksProps {
  readonly links: readonly LinkCount[];
  readonly play: PlayCard;
  readonly plays: readonly PlayCard[];
  readonly mayPlay: boolean;
  readonly busy: boolean;
  readonly run: Run;
  readonly onReel: (play: string) => void;
}

export function PlayLinks({ links, play, plays, mayPlay, busy, run, onReel }: PlayLinksProps) {
  return (
    <>
      <h2>Set-ups and complements</h2>
      <ul className="todo">
        {links.map((linkCount) => (
          <li key={`${linkCount.link.kind}${linkCount.link.play}`} className={linkCount.ready ? '' : 'flag'}>
            {linkCount.link.kind === 'set-up' ? (
              <>
                Show <strong>{linkCount.play?.name ?? 'a play that is gone'}</strong> first,{' '}
                {linkCount.link.least} {linkCount.link.least === 1 ? 'time' : 'times'}:{' '}
                <button type="button" className="plain" onClick={() => onReel(linkCount.link.play)}>
                  shown {linkCount.rows.length}
                </button>
                {linkCount.ready ? '' : ', not yet enough'}.
              </>
            ) : (
              <>
                {linkCount.link.trigger ? `When ${linkCount.link.trigger}: ` : ''}
                <strong>{linkCount.play?.name ?? 'a play that is gone'}</strong> (
                <button type="button" className="plain" onClick={() => onReel(linkCount.link.play)}>
                  shown {linkCount.rows.length}
                </button>
                ).
              </>
            )}
            {mayPlay && (
              <button
                type="button"
                className="plain small quiet"
                style={{ marginLeft: 8 }}
                disabled={busy}
                aria-label={`take ${linkCount.play?.name ?? 'the link'} off`}
                onClick={() =>
                  run({ op: 'links', play: play.id, links: play.links.filter((x) => x !== linkCount.link) })
                }
              >
                remove
              </button>
            )}
          </li>
        ))}
        {links.length === 0 && <li className="quiet small">None said yet.</li>}
      </ul>
      {mayPlay && <LinkForm play={play} plays={plays} busy={busy} run={run} />}
    </>
  );
}

function LinkForm({ play, plays, busy, run }: Pick<PlayLinksProps, 'play' | 'plays' | 'busy' | 'run'>) {
  const [draft, setDraft] = useState<PlayLink>({ kind: 'set-up', play: '', least: 2, trigger: null });
  return (
    <form
      style={{ display: 'grid', gap: 8 }}
      onSubmit={(event) => {
        event.preventDefault();
        run({ op: 'links', play: play.id, links: [...play.links, draft] }, () =>
          setDraft({ ...draft, play: '' }),
        );
      }}
    >
      <div style={{ display: 'grid', gridTemplateColumns: '1fr 1.4fr', gap: 8 }}>
        <TextBox
          select
          label="Link"
          value={draft.kind}
          onChange={(e) => setDraft({ ...draft, kind: e.target.value as PlayLink['kind'] })}
        >
          {LINK_KINDS.map((k) => (
            <option key={k} value={k}>
              {k}
            </option>
          ))}
        </TextBox>
        <TextBox
          select
          label="Play"
          value={draft.play}
          onChange={(e) => setDraft({ ...draft, play: e.target.value })}
        >
          {plays
            .filter((p) => p.id !== play.id)
            .map((playCard) => (
              <option key={playCard.id} value={playCard.id}>
                {playCard.name}
              </option>
            ))}
        </TextBox>
      </div>
      {draft.kind === 'set-up' ? (
        <TextBox
          label="Shown at least"
          type="number"
          value={draft.least}
          onChange={(e) => setDraft({ ...draft, least: Number(e.target.value) })}
          htmlInput={{ min: 1, max: 99 }}
        />
      ) : (
        <TextBox
          select
          label="When"
          value={draft.trigger ?? ''}
          onChange={(e) => setDraft({ ...draft, trigger: e.target.value || null })}
        >
          <option value="">any time</option>
          {Object.values(TRIGGERS).map((trigger) => (
            <option key={trigger} value={trigger}>
              {trigger}
            </option>
          ))}
        </TextBox>
      )}
      <Button type="submit" variant="outlined" disabled={busy || draft.play === ''}>
        Link it
      </Button>
    </form>
  );
}
