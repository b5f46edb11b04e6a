// Fields: what they stand in, and those that stand by themselves in a table, a sentence, at the machine
export { Choice, Entry, Tick } from './single';
export { Field, Fields, Legend, Together, Wrong } from './Fields';
export { PickOne, PickSome } from './Picks';
export { Stepper } from './Stepper';
