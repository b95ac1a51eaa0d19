'use client';
/** Plays for a section, ranked by what to expect of them against the looks shown then; plays without film apart. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { playCall, playLook, type PlayCard, type SectionSpec, type SheetCall } from '@/core/plan';
import { TextBox } from '../shared/TextBox';
import { SuggestionRow } from './SuggestionRow';
import { filmText } from './usage';
import type { PlanFilm } from './usePlanFilm';

interface SuggestionsProps {
  readonly sections: readonly SectionSpec[];
  readonly section: SectionSpec;
  readonly film: Pick<PlanFilm, 'sizes' | 'asked' | 'suggestions' | 'argued' | 'sectionsArgued' | 'factsOf'>;
  /** Plays of the list, whatever the section asks for. */
  readonly listed: number;
  readonly calls: readonly SheetCall[];
  readonly mayEdit: boolean;
  readonly onSection: (key: string) => void;
  readonly onAdd: (play: PlayCard) => void;
  readonly onReel: (name: string) => void;
  /** What else bears on all of them. */
  readonly children: React.ReactNode;
}

/** Plays that stand at once, and how many more each time: four hundred rows would be felt at every change. */
const FIRST = 20;
const MORE = 48;

export function Suggestions(props: SuggestionsProps) {
  const { sections, section, film, calls, mayEdit, onSection, onAdd, onReel } = props;
  // Null: still measured.
  const { argued, suggestions } = film;
  const [wanted, setWanted] = useState('');
  const [most, setMost] = useState(FIRST);
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  const found = suggestions.filter(({ play }) => {
    const said = `${play.name} ${playLook(play)} ${playCall(play)}`.toLowerCase();
    return words.every((word) => said.includes(word));
  });
  const ranked = found.filter((s) => s.all.n > 0);
  const shown = ranked.slice(0, most);
  const never = found.filter((s) => s.all.n === 0);
  return (
    <section className="card" aria-label="Suggestions" data-ready={film.sectionsArgued.all}>
      <TextBox
        select
        fullWidth
        label="plays for"
        value={section.key}
        onChange={(e) => onSection(e.target.value)}
        helperText={[
          filmText(film.sizes.get(section.key)),
          film.asked,
          argued === null
            ? 'their looks are being measured'
            : 'ranked by the low end of what to expect against the looks they show then',
        ]
          .filter(Boolean)
          .join('; ')}
      >
        {sections.map((sectionSpec) => (
          <option key={sectionSpec.key} value={sectionSpec.key}>
            {sectionSpec.label}
          </option>
        ))}
      </TextBox>
      {suggestions.length > FIRST && (
        <TextBox
          fullWidth
          label="find a play"
          sx={{ mt: 1 }}
          value={wanted}
          onChange={(e) => {
            setWanted(e.target.value);
            setMost(FIRST);
          }}
        />
      )}
      {props.children}
      <ul className="plainlist suggest" tabIndex={0} aria-label={`Plays for ${section.label}`}>
        {shown.map((suggestion) => (
          <SuggestionRow
            key={suggestion.play.id}
            suggestion={suggestion}
            argument={argued?.get(suggestion.play.id) ?? null}
            section={section}
            mayEdit={mayEdit}
            on={calls.some((c) => c.section === section.key && c.play.id === suggestion.play.id)}
            onAdd={onAdd}
            onReel={onReel}
            factsOf={film.factsOf}
          />
        ))}
        {ranked.length > shown.length && (
          <li>
            <Button onClick={() => setMost(most + MORE)}>
              show {Math.min(MORE, ranked.length - shown.length)} more of {ranked.length}
            </Button>
          </li>
        )}
        {never.length > 0 && (
          <li>
            <span className="quiet small">
              {never.length} {never.length === 1 ? 'play has' : 'plays have'} no own film:
            </span>
            {never.slice(0, most).map((suggestion) => (
              <div key={suggestion.play.id} className="apart">
                <span>{suggestion.play.name}</span>
                {mayEdit && (
                  <Button
                    onClick={() => onAdd(suggestion.play)}
                    aria-label={`add ${suggestion.play.name} to ${section.label}`}
                  >
                    add
                  </Button>
                )}
              </div>
            ))}
          </li>
        )}
        {never.length > most && ranked.length <= shown.length && (
          <li>
            <Button onClick={() => setMost(most + MORE)}>show more without film</Button>
          </li>
        )}
        {suggestions.length > 0 && found.length === 0 && <li className="quiet">No play has these words.</li>}
        {suggestions.length === 0 && props.listed > 0 && (
          <li className="quiet">
            No play of the list is what this section asks for: its filter says which calls are meant.
          </li>
        )}
        {props.listed === 0 && (
          <li className="quiet">
            The play list is empty; add plays in the <Link href="/book?kind=plays">Book</Link>.
          </li>
        )}
      </ul>
    </section>
  );
}
