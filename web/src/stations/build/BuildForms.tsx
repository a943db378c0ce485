import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import type { Field, FieldOrRows } from '../../ui/fields';
import { usePlace } from '../../ui/place';
import { armOf } from '../../ui/records/arms';
import { written } from '../../ui/records/effects';
import { CORRECTION, REVISION_FIELDS } from '../../ui/records/revisionFields';
import { RecordSlip } from '../../ui/RecordSlip';
import type { Form } from './Build';
import { articleFields, articleOf, changeFields, PARAMETER_FIELDS, partFields, VERDICT_FIELDS } from './forms';
import { PasteParts } from './PasteParts';

/** Once there are runs, what is added or edited may always have been so: only whoever knows the build can say. */
function asEdited<T extends Field | FieldOrRows>(fields: T[], form: Form, tried: boolean): (T | Field)[] {
  return tried || typeof form?.editing.record['version'] === 'number' ? [...fields, CORRECTION] : fields;
}

/** The slips of the Build station, of which one is open at a time. */
export default function BuildForms({
  sheet,
  form,
  close,
}: {
  sheet: Schemas['BuildSheet'];
  form: Exclude<Form, null>;
  close: () => void;
}) {
  const { frame } = usePlace();
  const tried = sheet.articles.some((row) => row.runs > 0);
  const revision = sheet.revision;
  const editing = (kind: Exclude<Form, null>['kind']) => (form.kind === kind ? form.editing : null);
  return (
    <>
      <PasteParts open={form.kind === 'paste'} revision={revision.id} onClose={close} />
      <RecordSlip
        title="Change"
        kind={`change:${revision.id}`}
        editing={editing('change')}
        fields={[...changeFields(sheet), ...(typeof form.editing.record['version'] === 'number' ? VERDICT_FIELDS : [])]}
        onClose={close}
        save={(id, values, version) =>
          putRecord('changes', id, {
            ...form.editing.record,
            ...values,
            effects: written(values['effects']),
            revision: revision.id,
            version,
          })
        }
      />
      <RecordSlip
        title="What came of it"
        kind={`verdict:${revision.id}`}
        draft={`verdict:${form.editing.id ?? ''}`}
        editing={editing('verdict')}
        fields={VERDICT_FIELDS}
        onClose={close}
        save={(id, values, version) => putRecord('changes', id, { ...form.editing.record, ...values, version })}
      />
      <RecordSlip
        title="Parameter"
        kind={`parameter:${revision.id}`}
        editing={editing('parameter')}
        fields={asEdited(PARAMETER_FIELDS, form, tried)}
        withdraw="parameters"
        onClose={close}
        save={(id, values, version) => putRecord('parameters', id, { ...values, revision: revision.id, version })}
      />
      <RecordSlip
        title="Part"
        kind={`part:${revision.id}`}
        editing={editing('part')}
        fields={asEdited(partFields(sheet), form, tried)}
        withdraw="parts"
        onClose={close}
        save={(id, values, version) => putRecord('parts', id, { ...values, revision: revision.id, version })}
      />
      <RecordSlip
        title="Article"
        kind={`article:${revision.id}`}
        editing={editing('article')}
        fields={articleFields(
          sheet,
          revision.arms,
          frame.spine.map((t) => t.revision),
        )}
        onClose={close}
        save={(id, values, version) => putRecord('articles', id, { ...articleOf(values), version })}
      />
      <RecordSlip
        title={`Build ${revision.letter}`}
        kind={`revision:${revision.device}`}
        editing={editing('revision')}
        fields={asEdited(REVISION_FIELDS, form, tried)}
        onClose={close}
        save={(id, values, version) =>
          putRecord('revisions', id, {
            ...values,
            arms: (values['arms'] as string[]).map(armOf),
            device: revision.device,
            parent: revision.parent,
            version,
          })
        }
      />
    </>
  );
}
