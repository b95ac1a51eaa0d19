'use client';
/** What can be done with the calls that are marked, for who does not know the keys. */
import Button from '@mui/material/Button';
import type { SectionSpec } from '@/core/plan';
import { plural } from '@/core/rules/plural';
import { Choice } from '../shared/Choice';
import type { Marks } from './useMarks';

export function MarkedBar({ marks, sections }: { marks: Marks; sections: readonly SectionSpec[] }) {
  return (
    <div className="toolbar markedbar" role="group" aria-label="Marked calls">
      <strong>
        {plural(marks.ids.size, 'call')} {marks.cut ? 'cut' : 'marked'}
      </strong>
      <Choice
        label="move to"
        value=""
        width={150}
        options={[['', '…'], ...sections.map((s) => [s.key, s.label] as const)]}
        onChange={(to) => to !== '' && marks.moveTo(to)}
      />
      <Button onClick={() => marks.take(false)}>Copy</Button>
      <Button onClick={() => marks.take(true)}>Cut</Button>
      <Button onClick={marks.remove}>Take off</Button>
      <Button onClick={marks.clear}>Mark none</Button>
    </div>
  );
}
