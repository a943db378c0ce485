import { must, send, type Schemas } from './client';

/** From what each kind of record is written, by the name of its address. */
export type Inputs = {
  devices: Schemas['DeviceInput'];
  metrics: Schemas['MetricInput'];
  requirements: Schemas['RequirementInput'];
  uses: Schemas['UseCaseInput'];
  steps: Schemas['UseStepInput'];
  persons: Schemas['PersonInput'];
  assumptions: Schemas['AssumptionInput'];
  revisions: Schemas['RevisionInput'];
  parameters: Schemas['ParameterInput'];
  parts: Schemas['PartInput'];
  articles: Schemas['ArticleInput'];
  documents: Schemas['DocumentInput'];
  happenings: Schemas['HappeningInput'];
  makings: Schemas['MakingInput'];
  spendings: Schemas['SpendingInput'];
  instruments: Schemas['InstrumentInput'];
  methods: Schemas['MethodInput'];
  trials: Schemas['TrialInput'];
  runs: Schemas['RunInput'];
  courses: Schemas['CourseInput'];
  workings: Schemas['WorkingInput'];
  sums: Schemas['WorkshopSumInput'];
  outings: Schemas['OutingInput'];
  heapfiles: Schemas['HeapFileInput'];
  cameras: Schemas['CameraInput'];
  panels: Schemas['PanelInput'];
  sheets: Schemas['PanelSheetInput'];
  readings: Schemas['ReadingInput'];
  observations: Schemas['ObservationInput'];
  failures: Schemas['FailureInput'];
  causes: Schemas['CauseInput'];
  closings: Schemas['ClosingByHandInput'];
  changes: Schemas['ChangeInput'];
  unrelated: Schemas['UnrelatedInput'];
  candidates: Schemas['CandidateInput'];
  decisions: Schemas['DecisionInput'];
};

/**
 * What a form sends: the fields of the input, each as it was typed. What is no number travels as its text, so that the
 * server can say so at its field.
 */
export type Typed<T> = { [K in keyof T]?: unknown };

/** Makes a record, or changes it under its version. Sent twice, it is one record. */
export function putRecord<K extends keyof Inputs>(kind: K, id: string, body: Typed<Inputs[K]>): Promise<unknown> {
  return must(send('PUT', `/api/${kind}/${id}`, body));
}

export function withdrawRecord(kind: keyof Inputs | 'photos', id: string, because: string): Promise<unknown> {
  return must(send('POST', `/api/${kind}/${id}/withdraw`, { because }));
}
