/** A field of a record's form. Values travel as typed; the server says what is wrong with them. */
export type Field<T = Values> = {
  /** Of the input that it fills in. */
  name: Extract<keyof T, string>;
  label: string;
  kind?: 'text' | 'area' | 'number' | 'select' | 'check' | 'lines' | 'picks' | 'password' | 'email';
  options?: { value: string; label: string }[];
  /** Offered while typing; anything else may be typed too. */
  suggest?: string[];
  /** Who is around is offered. */
  people?: boolean;
  hint?: string;
  half?: boolean;
};

/** A list inside a record: each row has the same fields. */
export type Rows<T = Values> = {
  name: Extract<keyof T, string>;
  label: string;
  kind: 'rows';
  fields: Field[];
  add: string;
  empty: Record<string, unknown>;
};

export type FieldOrRows<T = Values> = Field<T> | Rows<T>;

export type Values = Record<string, unknown>;

/** From a record to what stands in the form. */
export function toForm(fields: FieldOrRows[], record: Values): Values {
  return Object.fromEntries(
    fields.map((field) => {
      const value = record[field.name];
      if (field.kind === 'rows') {
        const rows = Array.isArray(value) ? (value as Values[]) : [];
        return [field.name, rows.map((row) => toForm(field.fields, row))];
      }
      if (field.kind === 'lines') return [field.name, Array.isArray(value) ? value.join('\n') : ''];
      if (field.kind === 'check') return [field.name, value === true];
      if (field.kind === 'picks') return [field.name, Array.isArray(value) ? value.map(String) : []];
      return [field.name, value === null || value === undefined ? '' : String(value)];
    }),
  );
}

/** From the form to what is sent. What is no number is sent as it is, so that the server can say so at its field. */
export function fromForm(fields: FieldOrRows[], values: Values): Values {
  return Object.fromEntries(
    fields.map((field) => {
      const value = values[field.name];
      if (field.kind === 'rows') return [field.name, (value as Values[]).map((row) => fromForm(field.fields, row))];
      if (field.kind === 'lines')
        return [
          field.name,
          String(value)
            .split('\n')
            .map((line) => line.trim())
            .filter((line) => line !== ''),
        ];
      if (field.kind === 'number') return [field.name, numberOf(String(value))];
      if (field.kind === 'picks') return [field.name, Array.isArray(value) ? value : value ? [value] : []];
      if (field.kind === 'select' && value === '') return [field.name, null];
      return [field.name, value];
    }),
  );
}

/** The number that was typed, with either sign of minus and decimals; nothing is null, and what is none stays as it is. */
export function numberOf(text: string): number | string | null {
  const plain = text.trim().replace('−', '-').replace(',', '.');
  if (plain === '') return null;
  const number = Number(plain);
  return Number.isFinite(number) ? number : text;
}
