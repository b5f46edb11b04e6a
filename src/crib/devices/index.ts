// What people do
export { addDevice } from './verbs/addDevice';
export { addGauge } from './verbs/addGauge';
export { recordCalibration } from './verbs/recordCalibration';
export { recordTightening } from './verbs/recordTightening';
export { checkDevice } from './verbs/checkDevice';
// What screens show
export { devicesView } from './views/devicesView';
export type { DeviceLine } from './views/devicesView';
export { gaugesView } from './views/gaugesView';
export type { GaugeLine } from './views/gaugesView';
// Shared with other rooms
export { usableGauge } from './usableGauge';
// Asking one
export { READ_DEVICE, readDevice } from './readDevice';
export type { ReadDevice } from './readDevice';
