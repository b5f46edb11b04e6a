// The rack and its drawings
export { Rack } from './Rack';
export type { RackSlot } from './Rack';
export { AssemblyDrawing } from './AssemblyDrawing';
export { CutterDrawing } from './CutterDrawing';
