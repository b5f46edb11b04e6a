import { PLAN_MARK, planFrame } from '@/core/programs';
import { paintPlan } from './paintPlan';

const COLOURS = { paper: '#ffffff', faint: '#808080', cut: '#000000' };
const frame = planFrame({ least: 0, most: 1 }, { least: 0, most: 1 }, 4, 3);
function painted(marks: number[], lowest: number[]) {
  const into = new Uint8ClampedArray(4 * 12);
  paintPlan({ frame, marks: Uint8Array.from(marks), lowest: Float32Array.from(lowest) }, COLOURS, into);
  return (at: number) => [...into.slice(4 * at, 4 * at + 4)];
}
const nowhere = Array<number>(12).fill(Infinity);

it('is the darker the deeper, and two dots wide', () => {
  const marks = Array<number>(12).fill(0);
  const lowest = [...nowhere];
  marks[0] = marks[2] = PLAN_MARK.cut;
  lowest[0] = -1;
  lowest[2] = -9;
  const at = painted(marks, lowest);
  expect(at(2)).toEqual([0, 0, 0, 255]);
  // The highest keeps two fifths of the colour: black over white.
  expect(at(0)).toEqual([153, 153, 153, 255]);
  expect(at(1)).toEqual(at(0));
  expect(at(4)).toEqual(at(0));
  expect(at(11)[3]).toBe(0);
});
it('never runs over what is cut beside it, nor over the edge', () => {
  const marks = Array<number>(12).fill(0);
  marks[3] = PLAN_MARK.otherTool;
  marks[4] = PLAN_MARK.cut;
  marks[6] = PLAN_MARK.rapid;
  const at = painted(marks, nowhere);
  expect(at(4)).toEqual([0, 0, 0, 255]);
  expect(at(3)).toEqual([128, 128, 128, 255]);
  expect(at(7)).toEqual([128, 128, 128, 255]);
  // A rapid is one dot, fainter.
  expect(at(6)[0]).toBeGreaterThan(128);
  expect(at(10)[3]).toBe(0);
});
