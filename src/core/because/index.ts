// Figures and judgements with their reasons
export type { Because, Figure, Grade, Judgement } from './because';
export { worstGrade } from './because';
// Saying one
export { aside, mm, orUnknown, say } from './say';
