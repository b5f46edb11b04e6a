export { AddDeviceTag, Devices, DeviceTag } from './Devices';
export { ReadDevice } from './ReadDevice';
