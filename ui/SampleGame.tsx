'use client';
import Button from '@mui/material/Button';
import { useState, useTransition } from 'react';
import { useToast, useWorking } from './shared/toasts';

interface SampleGameProps {
  /** Null when it was done, else why not. */
  readonly add: () => Promise<string | null>;
}

/** One click to a whole game to try things on. */
export function SampleGame({ add }: SampleGameProps) {
  const say = useToast();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  useWorking(busy, 'Bringing in the sample game');
  return (
    <>
      <Button
        variant="outlined"
        disabled={busy}
        onClick={() =>
          begin(async () => {
            const why = await add().catch(() => 'The server does not answer; nothing was changed.');
            setProblem(why);
            if (why === null) say('The sample game is here. Take it out again under Log.');
          })
        }
      >
        Add the sample game
      </Button>
      {problem && <p role="alert">{problem}</p>}
    </>
  );
}
