// Figures, their reasons, grades and cautions
export { BecauseThis, Caution, GradeMark, Judgements, Row, Unknown } from './figure';
