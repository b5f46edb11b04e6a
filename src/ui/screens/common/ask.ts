/** Asks a view of the API; throws where it can't answer, since that is not 'nothing found'. */
export async function ask<View>(
  path: string,
  question: Record<string, string>,
  signal?: AbortSignal,
): Promise<View> {
  const answer = await fetch(`/api/v1/${path}?${new URLSearchParams(question)}`, { signal });
  if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
  // The API answers in the type of its view.
  return (await answer.json()) as View;
}
