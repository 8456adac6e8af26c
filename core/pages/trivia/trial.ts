import type { QuizTrial } from '../puzzle/trial.ts';
import type { TriviaItem } from './fill.ts';

/** The questions that have an answer. */
export const triviaTrial = ({ questions }: TriviaItem): QuizTrial => ({
  of: 'quiz',
  questions: questions.filter(({ answer }) => answer),
});
