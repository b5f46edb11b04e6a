// Figures, their reasons, grades and cautions
export { BecauseThis, Caution, GradeMark, Judgements, money, Row, Unknown } from './figure';
