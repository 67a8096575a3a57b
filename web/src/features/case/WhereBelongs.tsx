import { Key } from '../../ui/controls.tsx';
import { Answers, Ask, Question } from './dockParts.ts';

/** Words about another plant than the one on the table; `number` is that of the question they would be. */
export interface Apart {
  other: string;
  here: string;
  number: number;
  /** The words that are about it, where the line begins with others. */
  words: string | null;
}

/** Asks where words about another plant belong, in place of the next question. */
export function WhereBelongs({ apart: { other, here, number, words }, onBelongs }: { apart: Apart; onBelongs: (belongs: 'here' | 'apart') => void }) {
  return (
    <Ask role="alert">
      <Question>
        {other}: a question of its own, or about the {here.toLowerCase()}?
      </Question>
      <Answers role="group" aria-label="Where the words belong">
        <button type="button" onClick={() => onBelongs('apart')}>
          <Key>Enter</Key> question {number}: {other}
          {words && `, “${words}”`}
        </button>
        <button type="button" onClick={() => onBelongs('here')}>
          <Key>Alt K</Key> keep {words ? 'all of ' : ''}it with the {here.toLowerCase()}
        </button>
      </Answers>
    </Ask>
  );
}
