// Figures and judgements with their reasons
export type { Because, Grade, Judgement } from './because';
export { worstGrade } from './because';
