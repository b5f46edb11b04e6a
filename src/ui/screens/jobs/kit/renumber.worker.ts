import { NotRenumbered, type Renumbered, renumberProgram, type RenumberedProgram } from '@/core/programs';

export type ToRenumber = { text: string; numbers: Renumbered[] };
export type RenumberAnswer = { made: RenumberedProgram } | { line: number; why: string };

self.onmessage = ({ data }: MessageEvent<ToRenumber>) => {
  try {
    const answer: RenumberAnswer = { made: renumberProgram(data.text, data.numbers) };
    self.postMessage(answer);
  } catch (error) {
    if (!(error instanceof NotRenumbered)) throw error;
    const answer: RenumberAnswer = { line: error.line, why: error.why };
    self.postMessage(answer);
  }
};
