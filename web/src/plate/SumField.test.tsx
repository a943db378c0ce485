// @vitest-environment jsdom
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';

import type { Schemas } from '../api/client';
import { show } from '../test/screen';
import { SumField } from './SumField';
import { TYPED } from './workings';

type Field = Schemas['FieldRow'];

const field = (changed: Partial<Field> = {}): Field => ({
  name: 'thickness',
  words: 'Thickness',
  symbol: 't',
  unit: 'mm',
  kind: 'one',
  needed: true,
  default: '',
  choices: [],
  example: '',
  canBeSolved: true,
  fits: 'length',
  ...changed,
});

const SOURCES: Schemas['SourceRow'][] = [
  { kind: 'parameter', id: 'p-1', words: 'strip', text: '5 mm', unit: 'mm', fits: 'length' },
  { kind: 'requirement', id: 'r-1', words: 'No wider than', text: '400 mm', unit: 'mm', fits: 'length' },
  { kind: 'part', id: 'a-1', words: 'hopper', text: '210 g', unit: 'g', fits: 'mass' },
];

function draw(f: Field, more: { text?: string; problem?: string } = {}) {
  const change = vi.fn();
  show(
    <SumField
      field={f}
      text={more.text ?? ''}
      source={undefined}
      sources={SOURCES}
      problem={more.problem}
      onChange={change}
    />,
  );
  return change;
}

describe('a field of a sum', () => {
  it('offers of the build what measures the same, by what it is', () => {
    draw(field());
    const from = screen.getByLabelText('Take Thickness from');
    expect(
      within(from)
        .getAllByRole('option')
        .map((o) => o.textContent),
    ).toEqual(['typed', 'strip: 5 mm', 'No wider than: 400 mm']);
    expect(
      within(from)
        .getAllByRole('group')
        .map((g) => g.getAttribute('label')),
    ).toEqual(['Parameters', 'Limits']);
  });

  it('takes a value over with where it is from, and forgets that when something is typed', async () => {
    const change = draw(field());
    await userEvent.selectOptions(screen.getByLabelText('Take Thickness from'), 'strip: 5 mm');
    expect(change).toHaveBeenLastCalledWith('5 mm', { ...TYPED, parameter: 'p-1' });
    fireEvent.change(screen.getByLabelText(/^Thickness/), { target: { value: '6 ± 0.1' } });
    expect(change).toHaveBeenLastCalledWith('6 ± 0.1', TYPED);
  });

  it('offers nothing where nothing fits, or a list is wanted', () => {
    draw(field({ unit: 'V', fits: 'voltage' }));
    expect(screen.queryByLabelText('Take Thickness from')).toBeNull();
    draw(field({ name: 'many', words: 'Masses', kind: 'many', fits: '' }));
    expect(screen.queryByLabelText('Take Masses from')).toBeNull();
    expect(screen.getByLabelText(/^Masses/).getAttribute('placeholder')).toBe('40; 12; 27.6');
  });

  it('says what is wrong where it is wrong', () => {
    draw(field(), { text: '5 N', problem: 'N measures force, but length is wanted here (as in mm).' });
    const input = screen.getByLabelText(/^Thickness/);
    expect(input.getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(input.getAttribute('aria-describedby')!)?.textContent).toContain('N measures force');
  });

  it('says what is taken where nothing stands, and what is not needed', () => {
    draw(field({ needed: false, default: '9.81', unit: 'm/s²', words: 'Gravity' }));
    screen.getByText('9.81 m/s² if empty');
    draw(field({ needed: false, words: 'Skin' }));
    screen.getByText('not needed');
  });

  it('is lines where the sum reads them by itself', () => {
    const change = draw(field({ words: 'There is', kind: 'lines', fits: '', example: 'pins 20\ncurrent 500 mA' }));
    const area = screen.getByLabelText<HTMLTextAreaElement>(/^There is/);
    expect([area.tagName, area.placeholder]).toEqual(['TEXTAREA', 'pins 20\ncurrent 500 mA']);
    fireEvent.change(area, { target: { value: 'pins 8' } });
    expect(change).toHaveBeenCalledWith('pins 8', TYPED);
  });

  it('is a choice of words where there are some', async () => {
    const change = draw(field({ words: 'Keep', kind: 'choice', choices: ['froude', 'reynolds'], default: 'froude' }));
    const select = screen.getByLabelText(/^Keep/);
    expect(
      within(select)
        .getAllByRole('option')
        .map((o) => o.textContent),
    ).toEqual(['froude', 'reynolds']);
    await userEvent.selectOptions(select, 'reynolds');
    expect(change).toHaveBeenCalledWith('reynolds', TYPED);
  });
});
