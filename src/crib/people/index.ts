export { addPerson } from './addPerson';
