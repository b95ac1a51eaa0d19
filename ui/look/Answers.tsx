import { answerWords, countText, intervalText, type Answered } from '@/core/read';

export interface LookAnswer extends Omit<Answered, 'rows'> {
  /** Opens the snaps behind the count. */
  readonly onOpen: () => void;
}

interface AnswersProps {
  readonly answers: readonly LookAnswer[];
  readonly onDraw: (answer: LookAnswer) => void;
}

/** What the other side has answered with, counted; a click draws it. */
export function Answers({ answers, onDraw }: AnswersProps) {
  return answers.map((answer) => (
    <span key={answerWords(answer)} className="small">
      <button
        type="button"
        className="plain"
        onClick={() => onDraw(answer)}
        aria-label={`draw against ${answerWords(answer)}`}
      >
        {answerWords(answer)}
      </button>
      :{' '}
      <button
        type="button"
        className="plain num"
        onClick={answer.onOpen}
        aria-label={`${answerWords(answer)}: ${countText(answer.rate)}, open the reel`}
      >
        {countText(answer.rate)}
      </button>{' '}
      <span className="quiet">{intervalText(answer.rate)}</span>
    </span>
  ));
}
