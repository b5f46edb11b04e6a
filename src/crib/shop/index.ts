// What people do
export { addMachine } from './verbs/addMachine';
export { addMaterial } from './verbs/addMaterial';
export { addPerson } from './verbs/addPerson';
export { addSupplier } from './verbs/addSupplier';
export { changeMachine } from './verbs/changeMachine';
export { changeSetUp } from './verbs/changeSetUp';
export { stateDay } from './verbs/stateDay';
export { stateSpindle } from './verbs/stateSpindle';
export { stateMaterial } from './verbs/stateMaterial';
export { stateWeek } from './verbs/stateWeek';
// What screens show
export { shopView } from './views/shopView';
export type { ShopView } from './views/shopView';
// Shared with other rooms
export { loadCalendar } from './calendar';
