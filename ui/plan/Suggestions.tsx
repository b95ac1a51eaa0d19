'use client';
/** Plays for a section, ranked by what to expect of them against the looks shown then; plays without film apart. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import {
  type Argument,
  type PlayCard,
  type SectionSpec,
  type SheetCall,
  type Sizing,
  type Suggestion,
} from '@/core/plan';
import { TextBox } from '../shared/TextBox';
import { SuggestionRow } from './SuggestionRow';
import { filmText } from './usage';

interface SuggestionsProps {
  readonly sections: readonly SectionSpec[];
  readonly section: SectionSpec;
  readonly size: Sizing | null;
  readonly suggestions: readonly Suggestion[];
  /** Null: still measured. */
  readonly argued: ReadonlyMap<string, Argument | null> | null;
  /** Those of every section stand, so that another is there at once. */
  readonly ready: boolean;
  readonly calls: readonly SheetCall[];
  readonly mayEdit: boolean;
  readonly onSection: (key: string) => void;
  readonly onAdd: (play: PlayCard) => void;
  readonly onReel: (name: string) => void;
}

export function Suggestions(props: SuggestionsProps) {
  const { sections, section, size, suggestions, argued, ready, calls, mayEdit, onSection, onAdd, onReel } =
    props;
  const shown = suggestions.filter((s) => s.all.n > 0);
  const never = suggestions.filter((s) => s.all.n === 0);
  return (
    <section className="card" aria-label="Suggestions" data-ready={ready}>
      <TextBox
        select
        fullWidth
        label="plays for"
        value={section.key}
        onChange={(e) => onSection(e.target.value)}
        helperText={`${filmText(size)}; ${argued === null ? 'their looks are being measured' : 'ranked by the low end of what to expect against the looks they show then'}`}
      >
        {sections.map((sectionSpec) => (
          <option key={sectionSpec.key} value={sectionSpec.key}>
            {sectionSpec.label}
          </option>
        ))}
      </TextBox>
      <ul className="plainlist suggest" tabIndex={0} aria-label={`Plays for ${section.label}`}>
        {shown.map((suggestion) => (
          <SuggestionRow
            key={suggestion.play.id}
            s={suggestion}
            argument={argued?.get(suggestion.play.id) ?? null}
            section={section}
            mayEdit={mayEdit}
            on={calls.some((c) => c.section === section.key && c.play.id === suggestion.play.id)}
            onAdd={() => onAdd(suggestion.play)}
            onReel={(which) => onReel(`${suggestion.play.id}|${which}`)}
          />
        ))}
        {never.length > 0 && (
          <li>
            <span className="quiet small">
              {never.length} {never.length === 1 ? 'play has' : 'plays have'} no own film:
            </span>
            {never.map((suggestion) => (
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
        {suggestions.length === 0 && (
          <li className="quiet">
            The play list is empty; add plays in the <Link href="/book?kind=plays">Book</Link>.
          </li>
        )}
      </ul>
    </section>
  );
}
