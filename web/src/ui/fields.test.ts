import { describe, expect, it } from 'vitest';

import { fromForm, toForm, type FieldOrRows } from './fields';

const FIELDS: FieldOrRows[] = [
  { name: 'name', label: 'Name' },
  { name: 'limit', label: 'Limit', kind: 'number' },
  { name: 'must', label: 'Must', kind: 'check' },
  { name: 'states', label: 'States', kind: 'lines' },
  { name: 'kind', label: 'Kind', kind: 'select', options: [{ value: 'mean', label: 'mean' }] },
  {
    name: 'channels',
    label: 'Channels',
    kind: 'rows',
    add: 'Add',
    empty: {},
    fields: [
      { name: 'key', label: 'Key' },
      { name: 'low', label: 'Low', kind: 'number' },
    ],
  },
];

describe('a form and the record behind it', () => {
  it('shows what is there, and nothing for what is not', () => {
    expect(toForm(FIELDS, { name: 'Push', limit: 45, must: true, states: ['dry', 'moist'], kind: null })).toEqual({
      name: 'Push',
      limit: '45',
      must: true,
      states: 'dry\nmoist',
      kind: '',
      channels: [],
    });
  });

  it('sends back what it was given', () => {
    const record = {
      name: 'Push',
      limit: 17.599999999999998,
      must: false,
      states: ['dry'],
      kind: 'mean',
      channels: [{ key: 'push', low: -5 }],
    };
    expect(fromForm(FIELDS, toForm(FIELDS, record))).toEqual(record);
  });

  it.each([
    ['', null],
    ['  ', null],
    ['12', 12],
    ['1,5', 1.5],
    ['−3', -3],
    ['1e3', 1000],
    // What is no number goes to the server as it was typed, which then says so at the field.
    ['twelve', 'twelve'],
    ['1.2.3', '1.2.3'],
    ['1e999', '1e999'],
  ])('reads a number as typed: %j', (typed, sent) => {
    expect(fromForm([FIELDS[1]!], { limit: typed })).toEqual({ limit: sent });
  });

  it('leaves out empty lines and does not invent a choice', () => {
    expect(
      fromForm(FIELDS, { name: '', limit: '', must: false, states: ' dry \n\n moist', kind: '', channels: [] }),
    ).toEqual({
      name: '',
      limit: null,
      must: false,
      states: ['dry', 'moist'],
      kind: null,
      channels: [],
    });
  });
});
