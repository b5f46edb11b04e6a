export { BecauseThis, Caution, GradeMark, Judgements, Row, Unknown } from './figure';
