// What people do
export { addDevice } from './verbs/addDevice';
export { checkDevice } from './verbs/checkDevice';
// What screens show
export { devicesView } from './views/devicesView';
export type { DeviceLine } from './views/devicesView';
// Asking one
export { READ_DEVICE, readDevice } from './readDevice';
export type { ReadDevice } from './readDevice';
