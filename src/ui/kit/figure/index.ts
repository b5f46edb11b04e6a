export { BecauseThis, GradeMark, Judgements, Row, Rows, Unknown } from './figure';
