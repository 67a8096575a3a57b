import type { QuestionView } from '@sounding/contract/api.ts';
import type { Heard } from '../../../engine/engine.worker.ts';
import type { NewWrite } from '../../case/useCaseWork.ts';

interface Shown {
  pictureId: string;
  width: number;
  height: number;
  /** What was measured, line by line. */
  lines: readonly string[];
  /** What the advisor says it shows, and what was read from that. */
  words: string;
  readings: Heard['readings'];
}

/** What a picture leaves in a case: its figures and what it shows as readings by photo, and the picture under them. */
export function photoWritesOf({ pictureId, width, height, lines, words, readings }: Shown, question: QuestionView, newId: () => string): NewWrite[] {
  const statementId = newId();
  const said = [words.trim(), ...lines].filter(Boolean).join('. ');
  const taken = readings.map(({ finding, answer, from }) => ({ id: newId(), finding, answer, channel: 'photo' as const, from, statementId }));
  return [
    { kind: 'statement', questionId: question.id, body: { id: statementId, said, asked: 'Picture', by: 'picture', readings: taken } },
    { kind: 'picture', questionId: question.id, body: { id: pictureId, statementId, width, height } },
  ];
}
