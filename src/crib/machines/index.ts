export { addMachine, changeMachine } from './addMachine';
