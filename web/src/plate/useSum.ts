import { keepPreviousData, useQuery } from '@tanstack/react-query';

import { api, must, type Schemas } from '../api/client';
import { useDraft } from '../outbox/useDraft';
import { useSettled } from '../ui/useSettled';
import { entries, nameOf, TYPED, type Source, type SumDraft } from './workings';

export type OpenSum = {
  draft: SumDraft;
  set: (changed: Partial<SumDraft>) => void;
  /** Puts a value into a field; without where it is from, it is typed. */
  put: (name: string, text: string, source?: Source) => void;
  drop: () => void;
  worked: Schemas['WorkedSheet'] | undefined;
  /** The one that counts: it is drawn, solved for and kept. */
  answer: Schemas['AnswerRow'] | undefined;
  /** Why nothing could be worked out at all. */
  failed: string;
  problemOf: (field: string) => string | undefined;
};

/** A sum as it stands on this device, worked out on the server as one types. */
export function useSum(
  sum: Schemas['BenchSum'],
  build: Schemas['RevisionView'],
  write: boolean,
  kept: string,
  first: SumDraft,
): OpenSum {
  const [draft, setDraft, drop] = useDraft<SumDraft>(`sum:${build.id}:${sum.name}:${kept}`, first);
  const body = useSettled({
    sum: nameOf(sum),
    inputs: entries(draft),
    output: draft.output,
    unit: draft.unit,
    along: draft.along,
    wanted: draft.wanted,
    own: sum.own,
  });
  const query = useQuery({
    queryKey: ['work', build.device, body],
    queryFn: () => must(api.POST('/api/devices/{id}/work', { params: { path: { id: build.device } }, body })),
    placeholderData: keepPreviousData,
    enabled: write && body.inputs.length > 0,
    staleTime: Infinity,
  });
  const worked = body.inputs.length > 0 ? query.data : undefined;
  return {
    draft,
    set: (changed) => setDraft({ ...draft, ...changed }),
    put: (name, text, source = TYPED) =>
      setDraft({ ...draft, texts: { ...draft.texts, [name]: text }, sources: { ...draft.sources, [name]: source } }),
    drop,
    worked,
    // Where the answers are named by what is entered, the one that was meant may be there no more.
    answer: worked?.answers.find((a) => a.name === draft.output) ?? worked?.answers[0],
    failed: query.error instanceof Error ? query.error.message : '',
    problemOf: (field) => worked?.problems.find((p) => p.name === field)?.text,
  };
}
