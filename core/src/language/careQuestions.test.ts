import { describe, expect, it } from '@jest/globals';
import type { CareTopic } from '../edition/edition.ts';
import { CareQuestions } from './careQuestions.ts';
import { tokenise } from './tokens.ts';

const topics: CareTopic[] = [
  { id: 'cut-back', name: 'Cutting down', verbs: ['cut', 'leave', 'deadhead'], words: ['x'] },
  { id: 'sow', name: 'Sowing', verbs: ['plant', 'sow'], words: ['x'] },
];
const questions = new CareQuestions(topics, {});
const topicsOf = (text: string) => questions.find(tokenise(text, {})).map(({ topic }) => topic);

describe('questions of care by their verb', () => {
  it.each([
    ['there is a flower stalk in my rhubarb, do I leave it', ['cut-back']],
    ['should I be deadheading my geraniums', ['cut-back']],
    ['what time of year do you plant garlic', ['sow']],
    ['how to sow carrots', ['sow']],
    ['I planted it last year and cut it down', []],
    ['the leaves leave marks', []],
  ])('"%s" asks for %p', (text, expected) => expect(topicsOf(text)).toEqual(expected));
  it('does not look past the end of the sentence', () => expect(topicsOf('Do you know? I cut it down.')).toEqual([]));
});
