'use client';
/** One word of the book: what it means, drawn; what may be done with it. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import {
  CONSTRAINTS,
  isDefinedKind,
  drawTerm,
  formatDefinition,
  formationStructure,
  isDrawn,
  readDefinition,
  storedValue,
  termFields,
  TRIGGERS,
  type Book,
  type Term,
} from '@/core/book';
import { sideWord, type LevelProfile, type Side } from '@/core/field';
import { legality, lineUp, shapeOf, structureWords, techniqueName } from '@/core/look';
import { Picture } from '../chalk/Chalk';
import { savePng, saveSvg } from '../chalk/save';
import { LookCard } from '../look/LookCard';
import { NotationField } from './NotationField';
import { part } from '../shared/part';
import { useStaffRules } from '../StaffRules';
import { routeWords } from './words';

const PressureDesigner = part(() => import('./PressureDesigner'));

export interface TermPanelProps {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly term: Term;
  readonly count: number;
  readonly side: Side;
  readonly busy: boolean;
  readonly mayAdd: boolean;
  readonly mayMerge: boolean;
  readonly onSide: (side: Side) => void;
  readonly onDialog: (what: 'merge' | 'split' | 'aliases') => void;
  readonly onRemove: () => void;
  readonly onDefine: (text: string) => void;
  readonly onClose: () => void;
}

export default function TermPanel(props: TermPanelProps) {
  const { book, profile, term, count, side, busy, mayAdd, mayMerge } = props;
  const settings = useStaffRules().look;
  const [text, setText] = useState<string | null>(null);
  const [card, setCard] = useState(false);
  const [designed, setDesigned] = useState(false);
  const typed = text === null || !isDefinedKind(term.kind) ? null : readDefinition(term.kind, text);
  const shown: Term = useMemo(() => {
    const read = text !== null && isDefinedKind(term.kind) ? readDefinition(term.kind, text) : null;
    return read?.ok ? { ...term, definition: read.value } : term;
  }, [text, term]);
  const inBook = useMemo(
    () => (shown === term ? book : { ...book, terms: book.terms.map((t) => (t.id === term.id ? shown : t)) }),
    [book, shown, term],
  );
  const drawn = isDrawn(shown) ? drawTerm(inBook, shown, side, profile, settings) : null;
  const title = `${term.word}${term.spots ? ` ${sideWord(side)}` : ''}`;
  return (
    <section className="card termpanel" aria-label={`The word ${term.word}`}>
      <header>
        <h2>{term.word}</h2>
        <span className="small">{term.kind}</span>
      </header>
      {drawn ? (
        <Picture
          drawn={drawn}
          profile={profile}
          hash={null}
          height={
            term.kind === 'pass' || term.kind === 'coverage'
              ? 250
              : term.kind === 'formation' || term.kind === 'backfield' || term.kind === 'motion'
                ? 130
                : 200
          }
          caption={false}
          id="term-drawing"
        />
      ) : (
        <p className="quiet">
          {term.kind === 'formation' || term.kind === 'backfield'
            ? 'Not drawn yet: without points nothing follows from this term.'
            : isDefinedKind(term.kind)
              ? 'Only a name yet; type below what it means.'
              : 'A term without a drawing.'}
        </p>
      )}
      <div className="small" aria-live="polite">
        {meaning(inBook, shown, side, profile, settings.school).map((text) => (
          <p key={text}>{text}</p>
        ))}
      </div>
      {drawn && (
        <div className="toolbar">
          <Button onClick={() => props.onSide(side === 'R' ? 'L' : 'R')}>Mirror</Button>
          <Button onClick={() => saveSvg(drawn.drawing, title)}>SVG</Button>
          <Button onClick={() => void savePng(drawn.drawing, title)}>PNG</Button>
          {term.kind !== 'motion' && term.kind !== 'protection' && (
            <Button onClick={() => setCard(true)}>Look card</Button>
          )}
          <Button href={`/api/book/cards?term=${encodeURIComponent(term.id)}&side=${side}`}>
            Print its card
          </Button>
        </div>
      )}
      <p className="small">
        <span className="quiet">Also said:</span> {term.aliases.join(', ') || 'nothing else'} ·{' '}
        <Link href={readLink(term)}>
          {count} {count === 1 ? 'snap' : 'snaps'} in the film
        </Link>
        {term.notes ? ` · ${term.notes}` : ''}
      </p>
      <div className="toolbar">
        {mayAdd && (
          <Button
            variant="outlined"
            onClick={() => props.onDialog('aliases')}
            aria-label={`aliases of ${term.word}`}
          >
            Aliases
          </Button>
        )}
        {mayAdd && (term.kind === 'formation' || term.kind === 'backfield') && (
          <Button variant="outlined" component={Link} href={`/book/draw?edit=${encodeURIComponent(term.id)}`}>
            Draw
          </Button>
        )}
        {mayAdd && term.kind === 'formation' && (
          <Button variant="outlined" component={Link} href={`/book/draw?from=${encodeURIComponent(term.id)}`}>
            Duplicate
          </Button>
        )}
        {mayMerge && (
          <Button
            variant="outlined"
            onClick={() => props.onDialog('merge')}
            aria-label={`merge ${term.word} into another word`}
          >
            Merge
          </Button>
        )}
        {mayMerge && (
          <Button
            variant="outlined"
            onClick={() => props.onDialog('split')}
            aria-label={`split ${term.word}`}
          >
            Split
          </Button>
        )}
        {mayAdd && count === 0 && (
          <Button
            variant="outlined"
            disabled={busy}
            onClick={props.onRemove}
            aria-label={`remove ${term.word}`}
          >
            Remove
          </Button>
        )}
        <Button onClick={props.onClose}>Close</Button>
      </div>
      {isDefinedKind(term.kind) && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (typed?.ok && text !== null) props.onDefine(text);
          }}
          style={{ display: 'grid', gap: 6 }}
        >
          <NotationField
            kind={term.kind}
            text={text ?? (term.definition ? formatDefinition(term.definition) : '')}
            read={typed}
            disabled={!mayAdd}
            onText={setText}
          />
          {term.kind === 'pressure' && (
            <Button style={{ justifySelf: 'start' }} onClick={() => setDesigned(true)}>
              Design it on every picture
            </Button>
          )}
          {typed?.ok && (
            <Button type="submit" variant="contained" disabled={busy}>
              Save this meaning
            </Button>
          )}
        </form>
      )}
      {designed && (
        <PressureDesigner
          book={book}
          profile={profile}
          title={term.word}
          text={text ?? (term.definition ? formatDefinition(term.definition) : '')}
          onUse={mayAdd ? setText : null}
          onClose={() => setDesigned(false)}
        />
      )}
      {card && (
        <LookCard
          book={inBook}
          profile={profile}
          fields={termFields(inBook, shown, side)}
          hash={null}
          onClose={() => setCard(false)}
        />
      )}
    </section>
  );
}

/** Read, sliced to the snaps of a word. */
function readLink(term: Term): string {
  const field = term.kind === 'run' || term.kind === 'pass' ? 'concept' : term.kind;
  return `/read?filter=${encodeURIComponent(`${field}:${storedValue(term)}`)}&reel=all`;
}

/** What follows from a word, as sentences. */
function meaning(
  book: Book,
  term: Term,
  side: Side,
  profile: LevelProfile,
  school: 'A' | 'B' | 'C',
): string[] {
  const definition = term.definition;
  if (term.kind === 'formation' && term.spots) {
    const men = lineUp(term.spots, side, null, shapeOf(profile.players));
    const structure = formationStructure(book, term, side, profile);
    const surface = `Surface ${structure.left.surface} left, ${structure.right.surface} right; gaps ${structure.left.gaps} and ${structure.right.gaps}.`;
    return [
      `${structureWords(structure)}.`,
      ...(profile.players === 11 ? [surface] : []),
      ...legality(men, profile).map((n) => `${n.sentence}.`),
    ];
  }
  switch (definition?.kind) {
    case 'front':
      return [
        `${definition.front.line.length} on the line (${definition.front.line.map((m) => `${m.side === 'm' ? '' : m.side === 's' ? 'strong ' : 'weak '}${techniqueName(m.technique, school)}`).join(', ')}), ${definition.front.backers.length} behind it.`,
      ];
    case 'coverage':
      return [
        `${definition.coverage.style}, middle ${definition.coverage.middle}; ${definition.coverage.deep.length} deep, ${11 - 4 - definition.coverage.deep.length} under when four rush; shows ${definition.coverage.shell} deep, corners ${definition.coverage.corner.depth} yards ${definition.coverage.corner.leverage}.`,
      ];
    case 'pressure':
      if (definition.pressure.rushers.some((r) => r.man === 'everybody'))
        return ['Everybody comes while a man is left for each receiver not in the backfield.'];
      return [
        `${4 - definition.pressure.drops + definition.pressure.rushers.length} rush from a four-man line, ${definition.pressure.threat} threaten${definition.pressure.drops > 0 ? `, ${definition.pressure.drops} of the line drops` : ''}${definition.pressure.lineMove === 'none' ? '' : `, the line ${definition.pressure.lineMove === 'twist' ? 'twists' : definition.pressure.lineMove}`}.`,
      ];
    case 'run':
      return [
        `${definition.run.blocking} blocking at the ${definition.run.point} gap, carried by the ${definition.run.carrier}${definition.run.read ? `; the ${definition.run.read} is read` : ''}.`,
        ...links(term.word),
      ];
    case 'pass':
      return [
        `${definition.pass.type}, ${definition.pass.drop}-step; strong side ${routeWords(definition.pass, 'strong')}; weak side ${routeWords(definition.pass, 'weak')}; back: ${definition.pass.back}.`,
        ...links(term.word),
      ];
    case 'protection':
      return [
        `${definition.protection.slide} slide, ${5 + definition.protection.kept} men${definition.protection.scan ? ', the back scans' : ''}.`,
      ];
    case 'motion':
      return [`${definition.motion}.`];
    default:
      return [];
  }
}

const links = (word: string): string[] =>
  CONSTRAINTS.filter((c) => c.base === word).map((c) => `When ${TRIGGERS[c.code]}: ${c.then}.`);
