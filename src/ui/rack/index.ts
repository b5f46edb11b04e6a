export { CutterDrawing } from './CutterDrawing';
export { Rack } from './Rack';
export type { RackSlot } from './Rack';
