import { EVERYBODY, type May } from '@/core/people';
import { NOTHING, type Question, type QuestionSpec } from '@/core/questions';
import { localDay } from '@/core/units';
import { type Crib, type ReadAll, type ReadOnce, readOnce, readQuestion, type Signed } from '@/crib/door';

export interface View {
  path: string;
  summary: string;
  /** What its address may ask. */
  question: QuestionSpec;
  /** Who may see it besides the owner. */
  may: May;
  /** `once`: what other views read already is not read again; `signed`: who asks, where it shows more to some. */
  read(crib: Crib, search: URLSearchParams, once?: ReadOnce, signed?: Signed): Promise<unknown>;
}

/** A view: its question is read at the door, by the schema that the API's document shows. */
export const view = <const S extends QuestionSpec>(
  path: string,
  summary: string,
  question: S,
  read: (crib: Crib, asked: Question<S>, once?: ReadOnce, signed?: Signed) => Promise<unknown>,
  may: May = EVERYBODY,
): View => ({
  path,
  summary,
  question,
  may,
  read: async (crib, search, once, signed) => read(crib, readQuestion(question, search), once, signed),
});
/** A view of everything of its kind, which shares what it reads with others. */
export const whole = <T>(path: string, summary: string, read: ReadAll<T>): View =>
  view(path, summary, NOTHING, (crib, _, once) =>
    (once ?? readOnce(crib.db, localDay(crib.now(), crib.zone), crib.zone))(read),
  );
