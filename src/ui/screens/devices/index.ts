export { AddDeviceTag, Devices, DeviceTag } from './Devices';
export { AddGaugeTag, Gauges, GaugeTag } from './Gauges';
export { ReadDevice } from './ReadDevice';
