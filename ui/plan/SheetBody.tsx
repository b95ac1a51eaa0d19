'use client';
/** The sheet as it prints: sections with their calls. */
import {
  noteCall,
  type PlacedFindings,
  removeCall,
  type PlayCard,
  type SectionSpec,
  type SheetCall,
} from '@/core/plan';
import { CallRow } from './CallRow';
import { Findings } from './Findings';
import { MarkedBar } from './MarkedBar';
import { SheetSection } from './SheetSection';
import { callsText, usageText } from './usage';
import type { PlanFilm } from './usePlanFilm';
import type { Marks } from './useMarks';
import type { SheetState } from './useSheet';

interface SheetBodyProps {
  readonly sheet: SheetState;
  readonly film: PlanFilm;
  readonly section: SectionSpec;
  readonly findings: PlacedFindings;
  readonly mayEdit: boolean;
  readonly marks: Marks;
  readonly onSection: (key: string) => void;
  readonly onLook: (play: PlayCard) => void;
  readonly onNotes: (call: SheetCall) => void;
}

export function SheetBody(props: SheetBodyProps) {
  const { sheet, film, section, findings, mayEdit, marks, onSection, onLook, onNotes } = props;
  const { calls, printed, sections, numbers, edit } = sheet;
  return (
    <div aria-label="The sheet" role="region">
      {mayEdit && marks.ids.size > 0 && <MarkedBar marks={marks} sections={sections} />}
      <div className="sheet">
        {sections.map((sectionSpec) => {
          const size = film.sizes.get(sectionSpec.key);
          const here = calls.filter((c) => c.section === sectionSpec.key);
          return (
            <SheetSection
              key={sectionSpec.key}
              section={sectionSpec}
              active={sectionSpec.key === section.key}
              filled={here.length > 0}
              usage={sectionSpec.filter === null ? 'no film says how often' : usageText(size)}
              size={callsText(here.length, size)}
              onActivate={() => onSection(sectionSpec.key)}
              notes={<Findings label={sectionSpec.label} findings={findings.of.get(sectionSpec.key) ?? []} />}
            >
              {printed
                .find((p) => p.section.key === sectionSpec.key)
                ?.calls.map((call) => (
                  <CallRow
                    key={call.id}
                    call={call}
                    number={call.number}
                    numbers={numbers}
                    mayEdit={mayEdit}
                    marked={marks.ids.has(call.id)}
                    cut={marks.cut && marks.ids.has(call.id)}
                    onMark={(through) => (through ? marks.through(call.id) : marks.toggle(call.id))}
                    onRemove={() => edit(removeCall(printed, call))}
                    onLook={() => onLook(call.play)}
                    onNotes={() => onNotes(call)}
                    onHash={(hash) => edit(noteCall(call, { hash }))}
                  />
                ))}
            </SheetSection>
          );
        })}
      </div>
    </div>
  );
}
