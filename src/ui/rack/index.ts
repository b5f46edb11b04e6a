export { BuildDrawing } from './BuildDrawing';
export { CutterDrawing } from './CutterDrawing';
export { DimensionedDrawing } from './DimensionedDrawing';
export type { DimensionWords, Sureness } from './DimensionedDrawing';
export { LyingDrawing } from './LyingDrawing';
export { Rack } from './Rack';
export type { RackSlot } from './slot';
export { mirrored } from './drawing';
