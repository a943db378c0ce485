import { ProblemError, type Schemas } from '../api/client';
import { putRecord } from '../api/records';
import type { Values } from '../ui/fields';

/** A method as it is sent, from what was read of it. */
export function methodBody(method: Schemas['MethodView']): Values {
  const { id, version, edition, channels, questions, ...rest } = method;
  void [id, version, edition];
  return {
    ...rest,
    channels: channels.map(({ metricId, ...c }) => (void metricId, c)),
    questions: questions.map(({ metricId, ...q }) => (void metricId, q)),
  };
}

/** Keeps a method with some of it changed; what is wrong is said where the form has the field. */
export async function keepMethod(
  method: Schemas['MethodView'],
  patch: Values,
  version: number | null,
  within = '',
): Promise<unknown> {
  try {
    return await putRecord('methods', method.id, {
      ...methodBody(method),
      ...patch,
      version: version ?? method.version,
    });
  } catch (error) {
    if (error instanceof ProblemError && within !== '') throw inside(error, within);
    throw error;
  }
}

/** The same problem, its fields named as they are inside one row or part. */
function inside(error: ProblemError, within: string): ProblemError {
  const violations = (error.document.violations ?? []).map((v) =>
    v.path.startsWith(within) ? { ...v, path: v.path.slice(within.length).replace(/^\./, '') } : v,
  );
  return new ProblemError({ ...error.document, violations });
}
