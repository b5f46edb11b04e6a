// Figures and judgements with their reasons
export type { Because, BecauseValue, Grade, Judgement } from './because';
export { worstGrade } from './because';
